import type { Schemas } from '../api/client';
import { short } from './dates';
import { ticks } from './scale';

/** The readings at one temperature, the line through them, and where it meets the minimum. */
export function Trend({ bottle }: { bottle: Schemas['BottleView'] }) {
    const [from, to] = bottle.line;
    if (!from || !to) {
        return null;
    }
    const right = Math.max(to.day, 10) + 8;
    const low = Math.min(bottle.minimum, ...bottle.points.map((p) => p.pressure));
    const high = Math.max(from.pressure, ...bottle.points.map((p) => p.pressure));
    const ends: [number, number] = [low - (high - low) * 0.16 - 0.5, high + (high - low) * 0.05];
    const x = (day: number) => 56 + ((day - from.day) / (right - from.day)) * 520;
    const y = (p: number) => 20 + ((ends[1] - p) / (ends[1] - ends[0])) * 190;
    return (
        <svg
            viewBox="0 0 600 250"
            className="my-2 w-full"
            role="img"
            aria-label={`${bottle.name}: pressure at ${bottle.reference} °C, falling to its minimum${bottle.date ? ` on ${short(bottle.date)}` : ''}`}
        >
            <rect
                x="56"
                y={y(bottle.minimum)}
                width="530"
                height={Math.max(0, 210 - y(bottle.minimum))}
                className="fill-rust-wash"
            />
            {ticks(ends, 4).map((t) => (
                <g key={t}>
                    <line x1="56" x2="586" y1={y(t)} y2={y(t)} className="stroke-rule" />
                    <text x="50" y={y(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                        {t}
                    </text>
                </g>
            ))}
            <line
                x1="56"
                x2="586"
                y1={y(bottle.minimum)}
                y2={y(bottle.minimum)}
                className="stroke-rust"
                strokeWidth="2"
            />
            <text x="60" y={y(bottle.minimum) + 17} className="fill-rust text-[12px] font-semibold">
                minimum {bottle.minimum} {bottle.unit}
            </text>
            <line x1={x(0)} x2={x(0)} y1="14" y2="210" className="stroke-ink" strokeWidth="1.5" strokeDasharray="3 3" />
            <text x={x(0)} y="226" textAnchor="middle" className="fill-ink text-[12px] font-semibold">
                today
            </text>
            <line
                x1={x(from.day)}
                y1={y(from.pressure)}
                x2={x(to.day)}
                y2={y(to.pressure)}
                className="stroke-ink"
                strokeWidth="2"
            />
            {bottle.points.map((p) => (
                <circle
                    key={p.date}
                    cx={x(p.day)}
                    cy={y(p.pressure)}
                    r="4"
                    className="fill-paper stroke-ink"
                    strokeWidth="1.8"
                >
                    <title>{`${short(p.date)}: ${p.pressure.toFixed(1)} ${bottle.unit} at ${bottle.reference} °C`}</title>
                </circle>
            ))}
            {bottle.date && (
                <g className={bottle.state === 'stop' ? 'text-rust' : 'text-spruce'}>
                    <line
                        x1={x(to.day)}
                        x2={x(to.day)}
                        y1={y(to.pressure) - 12}
                        y2="214"
                        stroke="currentColor"
                        strokeWidth="3"
                    />
                    <text
                        x={Math.min(566, x(to.day))}
                        y="242"
                        textAnchor="middle"
                        className="fill-current text-[13px] font-bold"
                    >
                        {short(bottle.date)}
                    </text>
                </g>
            )}
        </svg>
    );
}
