import type { Schemas } from '../../../api/client';
import { dayWide, LEFT, WIDE, xOf } from './scale';

const HIGH = 30;

/** How many aircraft of each fleet are left for its flying, day by day, beside what it needs. */
export function SeasonLeft({ fleets, top, days }: { fleets: Schemas['SeasonFleet'][]; top: number; days: number }) {
    const wide = dayWide(days);
    return fleets.map((f, i) => {
        const y = top + i * HIGH;
        const least = Math.min(...f.left);
        const needs = f.needs ?? 0;
        const up = (n: number) => (n / Math.max(1, f.all)) * (HIGH - 8);
        return (
            <g key={f.name} data-fleet={f.name}>
                <line x1="0" x2={WIDE} y1={y} y2={y} className="stroke-rule" />
                <text x="10" y={y + 13} className="fill-ink text-[12px] font-semibold">
                    {f.name.length > 24 ? `${f.name.slice(0, 23)}…` : f.name}
                </text>
                <text
                    x="10"
                    y={y + 26}
                    className={`text-[11px] ${least < needs ? 'fill-rust font-semibold' : 'fill-soft'}`}
                >
                    {`at least ${least} of ${f.all}, needs ${needs}`}
                </text>
                {f.left.map((n, d) => (
                    <rect
                        // biome-ignore lint/suspicious/noArrayIndexKey: a day is known by its number alone
                        key={d}
                        x={xOf(d, days)}
                        width={Math.max(1, wide)}
                        y={y + HIGH - 3 - up(n)}
                        height={up(n)}
                        className={n < needs ? 'fill-rust' : 'fill-spruce-wash'}
                    >
                        <title>{`${n} left, ${needs} needed`}</title>
                    </rect>
                ))}
                <line
                    x1={LEFT}
                    x2={WIDE}
                    y1={y + HIGH - 3 - up(needs)}
                    y2={y + HIGH - 3 - up(needs)}
                    className="stroke-ink"
                    strokeDasharray="5 4"
                />
            </g>
        );
    });
}
