import type { Schemas } from '../../../api/client';

/** Two turnbuckles one over the other: the threads that show at each end, now and after what is typed. */
export function Buckles({ of }: { of: Schemas['BucklesView'] }) {
    const most = Math.max(of.most, ...of.now, ...of.after);
    return (
        <figure className="mt-2" data-testid={`buckles-${of.adjuster}`}>
            <svg viewBox="0 0 600 116" className="w-full max-w-xl" role="img" aria-label={of.said}>
                {of.names.map((name, i) => (
                    <g key={name} transform={`translate(310 ${28 + 56 * i})`}>
                        <text x="-305" y="5" className="fill-soft text-[15px]">
                            {name}
                        </text>
                        <rect
                            x="-38"
                            y="-13"
                            width="76"
                            height="26"
                            rx="5"
                            className="fill-sheet stroke-ink"
                            strokeWidth="3"
                        />
                        <path d="M-8 0h16" className="stroke-ink" strokeWidth="4" />
                        {[0, 1].map((end) => (
                            <End
                                key={end}
                                way={end === 0 ? -1 : 1}
                                now={of.now[2 * i + end] ?? 0}
                                after={of.after[2 * i + end] ?? 0}
                                limit={of.most}
                                scale={56 / Math.max(1, most)}
                            />
                        ))}
                    </g>
                ))}
            </svg>
            <figcaption className={of.good ? 'text-sm text-soft' : 'text-sm font-semibold text-rust'}>
                {of.said}
            </figcaption>
        </figure>
    );
}

type EndProps = { way: 1 | -1; now: number; after: number; limit: number; scale: number };

/** One end of a barrel: its threads, the most that may show, and how many do. */
function End({ way, now, after, limit, scale }: EndProps) {
    const out = after > limit || after < 0;
    const shown = Math.max(0, Math.floor(after));
    return (
        <g transform={`scale(${way} 1)`}>
            <line x1="38" x2={38 + Math.max(0, after) * scale + 26} className="stroke-soft" strokeWidth="6" />
            {Array.from({ length: shown }, (_, t) => (
                <line
                    // biome-ignore lint/suspicious/noArrayIndexKey: threads stay in their order
                    key={t}
                    x1={38 + (t + 0.5) * scale - 2}
                    x2={38 + (t + 0.5) * scale + 2}
                    y1="-8"
                    y2="8"
                    className={t >= limit ? 'stroke-rust' : 'stroke-ink'}
                    strokeWidth="2.5"
                />
            ))}
            <line
                x1={38 + limit * scale}
                x2={38 + limit * scale}
                y1="-16"
                y2="16"
                className="stroke-spruce"
                strokeWidth="2.5"
            />
            <text
                x={way * 150}
                y="6"
                textAnchor="middle"
                transform={`scale(${way} 1)`}
                className={`font-mono text-[17px] font-bold ${out ? 'fill-rust' : 'fill-ink'}`}
            >
                {now === after ? now : `${now} → ${after}`}
            </text>
        </g>
    );
}
