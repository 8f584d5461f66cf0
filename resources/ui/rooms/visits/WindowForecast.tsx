import type { Schemas } from '../../api/client';
import { DayLabels } from '../../parts/DayLabels';
import { ticks } from '../../parts/scale';

export const one = (v: number) => v.toLocaleString('en-GB', { maximumFractionDigits: 1 });
const percent = (v: number) => `${Math.round(100 * v)} %`;

/** Findings expected in all, day by day, with their range; found so far as a step; the chance beneath. */
export function Forecast({ w }: { w: Schemas['WindowView'] }) {
    const n = Math.max(2, w.days.length);
    const top = Math.max(5, ...w.days.map((d) => d.high)) * 1.08;
    const x = (i: number) => 46 + (i / (n - 1)) * 560;
    const y = (v: number) => 210 - (v / top) * 190;
    const c = (v: number) => 320 - v * 80;
    const up = w.days.map((d, i) => `${x(i)},${y(d.high)}`);
    const down = w.days.map((d, i) => `${x(i)},${y(d.low)}`).reverse();
    const last = w.days[w.days.length - 1];
    return (
        <figure>
            <figcaption className="mb-2 font-semibold">
                {w.found} found in {one(w.lookDone)} h looked, {one(w.lookLeft)} h left to look;{' '}
                {Math.round(w.found + w.expectedMore)} expected in all, {w.found + w.low} to {w.found + w.high} in eight
                cases of ten
            </figcaption>
            <svg
                viewBox="0 0 660 352"
                className="w-full"
                role="img"
                aria-label="Findings expected and found by day, and the chance that the fix window holds"
            >
                {ticks([0, top], 4).map((t) => (
                    <g key={t}>
                        <line x1="46" x2="606" y1={y(t)} y2={y(t)} className="stroke-rule" />
                        <text x="38" y={y(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                            {t}
                        </text>
                    </g>
                ))}
                <polygon points={[...up, ...down].join(' ')} className="fill-shade" />
                <polyline
                    points={w.days.map((d, i) => `${x(i)},${y(d.expected)}`).join(' ')}
                    className="fill-none stroke-ink"
                    strokeWidth="2"
                    strokeDasharray="6 4"
                />
                <path
                    d={w.days
                        .map((d, i) => `${i === 0 ? 'M' : 'H'}${x(i)}${i === 0 ? ' ' : 'V'}${y(d.found)}`)
                        .join('')}
                    className="fill-none stroke-spruce"
                    strokeWidth="3"
                />
                {last && (
                    <>
                        <text x={x(w.days.length - 1) + 6} y={y(last.expected) + 4} className="fill-ink text-[13px]">
                            {Math.round(last.expected)}
                        </text>
                        <text
                            x={x(w.days.length - 1) + 6}
                            y={y(last.found) + 4}
                            className="fill-spruce text-[13px] font-semibold"
                        >
                            {last.found}
                        </text>
                    </>
                )}
                {[0, 0.5, 1].map((t) => (
                    <g key={t}>
                        <line x1="46" x2="606" y1={c(t)} y2={c(t)} className="stroke-rule" />
                        <text x="38" y={c(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                            {100 * t} %
                        </text>
                    </g>
                ))}
                <polyline
                    points={w.days.map((d, i) => `${x(i)},${c(d.chance)}`).join(' ')}
                    className="fill-none stroke-rust"
                    strokeWidth="2.5"
                />
                {last && (
                    <text
                        x={x(w.days.length - 1) + 6}
                        y={c(last.chance) + 4}
                        className="fill-rust text-[13px] font-semibold"
                    >
                        {percent(last.chance)}
                    </text>
                )}
                <DayLabels days={w.days} at={x} y={342} said={(t) => t.slice(0, 6)} />
            </svg>
            <p className="text-sm text-soft">
                Stepped: found. Dashed: expected in all, with its range. Beneath: the chance that the fix window holds.
            </p>
        </figure>
    );
}
