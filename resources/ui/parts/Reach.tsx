import type { Schemas } from '../api/client';
import { short } from './dates';
import { stateColour } from './State';

type Row = Pick<Schemas['ReachRow'], 'state' | 'stop' | 'visits' | 'fuses' | 'mark'>;

/** The marks along the top of a reach: about seven, on round days. */
export function reachTicks(horizon: number): number[] {
    const step = horizon <= 30 ? 5 : horizon <= 90 ? 14 : 60;
    return Array.from({ length: Math.floor(horizon / step) }, (_, i) => (i + 1) * step);
}

const x = (days: number, horizon: number): number => Math.max(0, Math.min(1, days / horizon)) * 1000;

/**
 * How far an aircraft can go, from today's line: a bar whose texture says what ends it (hatched by use, solid by
 * calendar, dotted by deferral), visits as brackets on it, deferrals as fuses below.
 */
export function Reach({ row, horizon, small }: { row: Row; horizon: number; small?: boolean }) {
    const days = row.stop?.days ?? horizon;
    const end = x(days, horizon);
    const colour = stateColour(row.state);
    const kind = row.stop?.kind ?? 'calendar';
    const hatch = `hatch-${row.mark}`;
    const beyond = row.stop === null || days > horizon;
    return (
        <svg
            viewBox="0 0 1000 32"
            preserveAspectRatio="none"
            className={`block w-full overflow-visible ${small ? 'h-6' : 'h-7.5'} ${colour}`}
            role="img"
            aria-label={
                row.stop
                    ? `${row.mark} can go until ${short(row.stop.date)}: ${row.stop.title}`
                    : `${row.mark}: nothing stops it`
            }
        >
            <defs>
                <pattern id={hatch} width="10" height="10" patternUnits="userSpaceOnUse" patternTransform="skewX(-40)">
                    <rect width="10" height="10" fill="currentColor" opacity="0.18" />
                    <rect width="4" height="10" fill="currentColor" />
                </pattern>
                <pattern id={`${hatch}-dots`} width="9" height="5" patternUnits="userSpaceOnUse">
                    <rect width="5" height="3" y="1" fill="currentColor" />
                </pattern>
            </defs>
            {reachTicks(horizon).map((t) => (
                <line
                    key={t}
                    x1={x(t, horizon)}
                    x2={x(t, horizon)}
                    y1="0"
                    y2="32"
                    className="stroke-rule"
                    vectorEffect="non-scaling-stroke"
                    strokeWidth="1"
                />
            ))}
            <line
                x1="0"
                x2="0"
                y1="0"
                y2="32"
                className="stroke-ink"
                vectorEffect="non-scaling-stroke"
                strokeWidth="2"
            />
            {row.visits
                .filter((v) => v.from < horizon && v.to >= 0)
                .map((v) => (
                    <g key={v.id} className={v.doubt ? 'text-ochre' : 'text-slate'}>
                        <title>{v.doubt ? `${v.title}. ${v.doubt}` : v.title}</title>
                        <rect
                            x={x(v.from, horizon)}
                            y="3"
                            width={Math.max(4, x(v.to + 1, horizon) - x(v.from, horizon))}
                            height="26"
                            fill="currentColor"
                            opacity="0.14"
                        />
                        <path
                            d={`M${x(v.from, horizon) + 6} 3H${x(v.from, horizon)}V29h6`}
                            fill="none"
                            stroke="currentColor"
                            strokeWidth="2"
                            vectorEffect="non-scaling-stroke"
                        />
                        <path
                            d={`M${x(v.to + 1, horizon) - 6} 3h6V29h-6`}
                            fill="none"
                            stroke="currentColor"
                            strokeWidth="2"
                            vectorEffect="non-scaling-stroke"
                        />
                    </g>
                ))}
            <rect
                x="0"
                y="10"
                width={end}
                height="9"
                fill={
                    kind === 'usage' || kind === 'bottle'
                        ? `url(#${hatch})`
                        : kind === 'deferral'
                          ? `url(#${hatch}-dots)`
                          : 'currentColor'
                }
            />
            {!beyond && days >= 0 && (
                <line
                    x1={end}
                    x2={end}
                    y1="5"
                    y2="24"
                    stroke="currentColor"
                    strokeWidth="4"
                    vectorEffect="non-scaling-stroke"
                />
            )}
            {beyond && <path d="M990 8l10 6.5L990 21Z" fill="currentColor" />}
            {row.fuses.map((f) => (
                <g key={f.id} className="text-rust">
                    <title>{`${f.title}, runs out ${short(f.date)}`}</title>
                    <line
                        x1="0"
                        x2={x(f.days, horizon)}
                        y1="27"
                        y2="27"
                        stroke="currentColor"
                        strokeWidth="1.5"
                        strokeDasharray="2 3"
                        vectorEffect="non-scaling-stroke"
                    />
                    {f.days <= horizon && (
                        <ellipse
                            cx={x(f.days, horizon)}
                            cy="27"
                            rx={small ? 6 : 5}
                            ry="3.6"
                            className="fill-paper"
                            stroke="currentColor"
                            strokeWidth="1.5"
                            vectorEffect="non-scaling-stroke"
                        />
                    )}
                </g>
            ))}
        </svg>
    );
}
