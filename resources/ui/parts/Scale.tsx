import { type Band, domain, place, ticks } from './scale';

/** A reading on its scale: the limit band drawn, the pointer in or out of it. */
export function Scale({
    limit,
    unit,
    value,
    others = [],
    bad,
}: {
    limit: Band;
    unit: string;
    value: number | null;
    others?: { name: string; value: number }[];
    bad?: boolean;
}) {
    const ends = domain(limit, [...(value === null ? [] : [value]), ...others.map((o) => o.value)]);
    const x = (v: number) => 30 + place(v, ends) * 500;
    const low = limit.low === null ? 30 : x(limit.low);
    const high = limit.high === null ? 530 : x(limit.high);
    return (
        <svg
            viewBox="0 0 560 150"
            className="w-full max-w-xl"
            role="img"
            aria-label={`Scale in ${unit}${value === null ? '' : `, reading ${value}`}`}
        >
            <rect x={low} y="52" width={Math.max(0, high - low)} height="48" className="fill-spruce-wash" />
            {[limit.low, limit.high].map((v, i) =>
                v === null ? null : (
                    <g key={i === 0 ? 'low' : 'high'} className="text-spruce">
                        <line x1={x(v)} x2={x(v)} y1="40" y2="100" stroke="currentColor" strokeWidth="3" />
                        <text
                            x={x(v)}
                            y="30"
                            textAnchor="middle"
                            className="fill-current font-mono text-[15px] font-bold"
                        >
                            {v}
                        </text>
                    </g>
                ),
            )}
            <line x1="30" x2="530" y1="100" y2="100" className="stroke-ink" strokeWidth="2" />
            {ticks(ends).map((t) => (
                <g key={t}>
                    <line x1={x(t)} x2={x(t)} y1="100" y2="112" className="stroke-ink" strokeWidth="1.5" />
                    <text x={x(t)} y="130" textAnchor="middle" className="fill-ink font-mono text-[13px]">
                        {t}
                    </text>
                </g>
            ))}
            <text x="280" y="148" textAnchor="middle" className="fill-soft text-[12px]">
                {unit}
            </text>
            {others.map((o) => (
                <path
                    key={o.name}
                    d={`M${x(o.value) - 9} 66h18l-9 33Z`}
                    fill="none"
                    className="stroke-ink"
                    strokeWidth="1.5"
                />
            ))}
            {value !== null && (
                <path d={`M${x(value) - 10} 62h20l-10 37Z`} className={bad ? 'fill-rust' : 'fill-ink'} />
            )}
        </svg>
    );
}
