import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { place, ticks } from '../../parts/scale';

type TrendData = Schemas['TrendView'];
type Point = Schemas['TrendPointView'];

const day = (date: string): number => Date.parse(`${date}T00:00:00Z`) / 86_400_000;

/** A point over time: its limits as a band, the fleet's faint behind it, changed units and where it is out. */
export function TrendDrawing({ t }: { t: TrendData }) {
    const all = [...t.points, ...t.fleet.flatMap((f) => f.points)];
    const days = [...all.map((p) => day(p.date)), ...(t.date ? [day(t.date)] : [])];
    const from = Math.min(...days);
    const to = Math.max(from + 10, ...days);
    const values = [...all.map((p) => p.value), ...[t.low, t.high].filter((v) => v !== null)];
    const spread = Math.max(...values) - Math.min(...values) || 1;
    const ends: [number, number] = [Math.min(...values) - spread * 0.12, Math.max(...values) + spread * 0.12];
    const x = (p: { date: string }) => 64 + place(day(p.date), [from, to]) * 800;
    const y = (v: number) => 260 - place(v, ends) * 236;
    const line = (points: Point[]) => points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p)} ${y(p.value)}`).join('');
    return (
        <svg
            viewBox="0 0 900 300"
            className="w-full max-w-5xl"
            role="img"
            aria-label={`${t.title} over time, ${t.unit}`}
        >
            <rect
                x="64"
                width="800"
                y={t.high === null ? 24 : y(t.high)}
                height={Math.max(0, (t.low === null ? 260 : y(t.low)) - (t.high === null ? 24 : y(t.high)))}
                className="fill-spruce-wash"
            />
            <text x="54" y="14" textAnchor="end" className="fill-soft text-[12px]">
                {t.unit}
            </text>
            {ticks(ends, 5).map((v) => (
                <g key={v}>
                    <line x1="60" x2="864" y1={y(v)} y2={y(v)} className="stroke-rule" />
                    <text x="54" y={y(v) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                        {v}
                    </text>
                </g>
            ))}
            {[t.low, t.high].map((v, i) =>
                v === null ? null : (
                    <g key={i === 0 ? 'low' : 'high'}>
                        <line x1="64" x2="864" y1={y(v)} y2={y(v)} className="stroke-spruce" strokeWidth="2.5" />
                        <text x="870" y={y(v) + 4} className="fill-spruce font-mono text-[12px] font-bold">
                            {v}
                        </text>
                    </g>
                ),
            )}
            {t.fleet.map((f) => (
                <path key={f.mark} d={line(f.points)} fill="none" className="stroke-soft/40" strokeWidth="1.2" />
            ))}
            {t.changed.map((d) => (
                <g key={d}>
                    <line
                        x1={x({ date: d })}
                        x2={x({ date: d })}
                        y1="24"
                        y2="260"
                        className="stroke-slate"
                        strokeDasharray="2 4"
                    />
                    <text x={x({ date: d })} y="20" textAnchor="middle" className="fill-slate text-[11px]">
                        unit changed
                    </text>
                </g>
            ))}
            <path d={line(t.points)} fill="none" className="stroke-ink" strokeWidth="2" />
            {t.points.map((p, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: readings are only ever added
                <g key={i}>
                    {p.note === 'as left' ? (
                        <rect
                            x={x(p) - 5}
                            y={y(p.value) - 5}
                            width="10"
                            height="10"
                            className="fill-paper stroke-ink"
                            strokeWidth="2"
                        />
                    ) : (
                        <circle
                            cx={x(p)}
                            cy={y(p.value)}
                            r="5"
                            className={p.look === 'clear' ? 'fill-paper stroke-ink' : 'fill-rust stroke-rust'}
                            strokeWidth="2"
                        />
                    )}
                    <title>{`${short(p.date)}: ${p.value} ${t.unit}${p.tool ? `, ${p.tool}` : ''}`}</title>
                </g>
            ))}
            {t.date && (
                <g className="text-rust">
                    <line
                        x1={x({ date: t.date })}
                        x2={x({ date: t.date })}
                        y1="24"
                        y2="266"
                        stroke="currentColor"
                        strokeWidth="2.5"
                    />
                    <text
                        x={x({ date: t.date })}
                        y="284"
                        textAnchor="end"
                        className="fill-current text-[13px] font-bold"
                    >
                        out after {short(t.date)}
                    </text>
                </g>
            )}
            {(t.date ? [from] : [from, to]).map((d, i) => (
                <text
                    key={d}
                    x={i === 0 ? 64 : 864}
                    y="284"
                    textAnchor={i === 0 ? 'start' : 'end'}
                    className="fill-soft text-[12px]"
                >
                    {short(new Date(d * 86_400_000).toISOString().slice(0, 10))}
                </text>
            ))}
        </svg>
    );
}
