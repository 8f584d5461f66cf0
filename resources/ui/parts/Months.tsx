import type { Schemas } from '../api/client';
import { months as names } from './dates';
import { ticks } from './scale';

/** Hours by month, the planned mean as a line across. */
export function Months({ months, mean }: { months: Schemas['MonthView'][]; mean: number }) {
    if (months.length === 0) {
        return <p className="text-soft">Nothing was flown yet.</p>;
    }
    const planned = mean * 30.4;
    const top = Math.max(planned, ...months.map((m) => m.flown.fh ?? 0), 1) * 1.1;
    const wide = 900 / months.length;
    const y = (h: number) => 120 - (h / top) * 108;
    return (
        <svg
            viewBox="0 0 960 156"
            className="w-full"
            role="img"
            aria-label="Flight hours by month, beside the planned mean"
        >
            {ticks([0, top], 3).map((t) => (
                <g key={t}>
                    <line x1="50" x2="950" y1={y(t)} y2={y(t)} className="stroke-rule" />
                    <text x="44" y={y(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                        {t} h
                    </text>
                </g>
            ))}
            {months.map((m, i) => (
                <g key={m.month}>
                    <title>{`${m.month}: ${m.flown.fh ?? 0} h, ${m.flown.ldg ?? 0} landings, on ${m.days} days`}</title>
                    <rect
                        x={52 + i * wide}
                        width={wide - 6}
                        y={y(m.flown.fh ?? 0)}
                        height={120 - y(m.flown.fh ?? 0)}
                        className="fill-spruce-wash stroke-spruce"
                        strokeWidth="1.5"
                    />
                    <text
                        x={52 + i * wide + (wide - 6) / 2}
                        y="136"
                        textAnchor="middle"
                        className="fill-ink text-[12px]"
                    >
                        {names[Number(m.month.slice(5, 7)) - 1]}
                    </text>
                    {(i === 0 || m.month.endsWith('-01')) && (
                        <text
                            x={52 + i * wide + (wide - 6) / 2}
                            y="151"
                            textAnchor="middle"
                            className="fill-soft text-[11px]"
                        >
                            {m.month.slice(0, 4)}
                        </text>
                    )}
                </g>
            ))}
            <line
                x1="50"
                x2="950"
                y1={y(planned)}
                y2={y(planned)}
                className="stroke-ink"
                strokeWidth="1.5"
                strokeDasharray="5 4"
            />
        </svg>
    );
}
