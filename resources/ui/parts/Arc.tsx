import { type Band, domain, place, ticks, within } from './scale';

type Needle = { name: string; value: number; look: 'found' | 'predicted' | 'good' };

const turn = (share: number) => ((-62 + 124 * share) * Math.PI) / 180;
const at = (share: number, r: number): [number, number] => [
    150 + r * Math.sin(turn(share)),
    168 - r * Math.cos(turn(share)),
];
const segment = (from: number, to: number, r: number): string => {
    const [x1, y1] = at(from, r);
    const [x2, y2] = at(to, r);
    return `M${x1} ${y1}A${r} ${r} 0 0 1 ${x2} ${y2}`;
};

/** An angle drawn as an angle: the limit as a band on the arc, each reading as a needle, the prediction dashed. */
export function Arc({ title, unit, limit, needles }: { title: string; unit: string; limit: Band; needles: Needle[] }) {
    const ends = domain(
        limit,
        needles.map((n) => n.value),
    );
    const p = (v: number) => Math.min(1, Math.max(0, place(v, ends)));
    const [low, high] = [limit.low === null ? 0 : p(limit.low), limit.high === null ? 1 : p(limit.high)];
    const found = needles.find((n) => n.look !== 'predicted');
    const next = needles.find((n) => n.look === 'predicted');
    return (
        <figure className="min-w-0">
            <svg
                viewBox="-6 -6 312 186"
                className="w-full"
                role="img"
                aria-label={`${title}: ${needles.map((n) => `${n.name} ${n.value} ${unit}`).join(', ')}`}
            >
                <path d={segment(0, 1, 130)} fill="none" className="stroke-rule" strokeWidth="2" />
                <path d={segment(low, high, 121)} fill="none" className="stroke-spruce-wash" strokeWidth="18" />
                {[low, high].map((s, i) => {
                    const [x1, y1] = at(s, 110);
                    const [x2, y2] = at(s, 133);
                    return (
                        <line
                            key={i === 0 ? 'low' : 'high'}
                            x1={x1}
                            y1={y1}
                            x2={x2}
                            y2={y2}
                            className="stroke-spruce"
                            strokeWidth="3"
                        />
                    );
                })}
                {ticks(ends, 5).map((t) => {
                    const [x1, y1] = at(p(t), 130);
                    const [x2, y2] = at(p(t), 136);
                    const [x, y] = at(p(t), 152);
                    return (
                        <g key={t}>
                            <line x1={x1} y1={y1} x2={x2} y2={y2} className="stroke-ink" strokeWidth="1.5" />
                            <text x={x} y={y + 4} textAnchor="middle" className="fill-soft font-mono text-[18px]">
                                {t}
                            </text>
                        </g>
                    );
                })}
                {found && next && Math.abs(p(found.value) - p(next.value)) > 0.01 && (
                    <path
                        d={
                            p(found.value) < p(next.value)
                                ? segment(p(found.value), p(next.value), 60)
                                : segment(p(next.value), p(found.value), 60)
                        }
                        fill="none"
                        className="stroke-spruce"
                        strokeWidth="3"
                    />
                )}
                {needles.map((n) => {
                    const [x, y] = at(p(n.value), 112);
                    const look = { found: 'stroke-rust', predicted: 'stroke-spruce', good: 'stroke-ink' }[n.look];
                    return (
                        <line
                            key={n.name}
                            x1="150"
                            y1="168"
                            x2={x}
                            y2={y}
                            className={look}
                            strokeWidth="3.5"
                            strokeLinecap="round"
                            strokeDasharray={n.look === 'predicted' ? '6 6' : undefined}
                        />
                    );
                })}
                <circle cx="150" cy="168" r="6" className="fill-ink" />
            </svg>
            <figcaption className="text-center">
                <b>{title}</b>
                <span className="block text-sm text-soft">
                    {within(limit)} {unit}
                    {needles.map((n) => (
                        <span key={n.name}>
                            {' · '}
                            {n.name}{' '}
                            <b
                                className={
                                    n.look === 'found'
                                        ? 'text-rust'
                                        : n.look === 'predicted'
                                          ? 'text-spruce'
                                          : 'text-ink'
                                }
                            >
                                {Number(n.value.toFixed(2))}
                            </b>
                        </span>
                    ))}
                </span>
            </figcaption>
        </figure>
    );
}
