import type { Schemas } from '../../../api/client';
import { Section } from '../../../parts/Page';
import { domain, place } from '../../../parts/scale';

/** Both sides of every pair on one scale, over the riggings of this aircraft. */
export function Sides({ sides }: { sides: Schemas['SidesView'][] }) {
    return (
        <Section title="Both sides">
            {sides.map((s) => (
                <figure key={s.left} className="mb-6">
                    <figcaption>
                        <b>{s.left}</b> and <b>{s.right}</b>
                        <span className="ml-3 text-sm text-soft">
                            {s.min} to {s.max} {s.unit}
                            {s.within !== null && `, alike within ${s.within} ${s.unit}`}
                        </span>
                    </figcaption>
                    <Pair s={s} />
                    {s.moved.length > 0 && (
                        <ul className="text-sm text-soft">
                            {s.moved.map((m) => (
                                <li key={m}>{m}</li>
                            ))}
                        </ul>
                    )}
                </figure>
            ))}
        </Section>
    );
}

const ROW = 34;

function Pair({ s }: { s: Schemas['SidesView'] }) {
    const limit = { low: s.min, high: s.max };
    const ends = domain(
        limit,
        s.readings.flatMap((r) => [r.left, r.right]),
    );
    const x = (v: number) => 230 + 480 * place(v, ends);
    const height = s.readings.length * ROW + 30;
    return (
        <svg
            viewBox={`0 0 900 ${height}`}
            className="w-full max-w-[900px]"
            role="img"
            aria-label={s.readings.map((r) => `${r.when}: ${r.left} and ${r.right}`).join('; ')}
        >
            <rect x={x(s.min)} y="0" width={x(s.max) - x(s.min)} height={height - 26} className="fill-spruce-wash" />
            {[s.min, s.max].map((v) => (
                <g key={v}>
                    <line x1={x(v)} x2={x(v)} y1="0" y2={height - 26} className="stroke-spruce" strokeWidth="2" />
                    <text x={x(v)} y={height - 8} textAnchor="middle" className="fill-soft font-mono text-[13px]">
                        {v}
                    </text>
                </g>
            ))}
            {s.readings.map((r, i) => {
                const y = i * ROW + ROW / 2;
                return (
                    <g key={r.when} className={r.good ? 'stroke-ink' : 'stroke-rust'}>
                        <text x="0" y={y + 5} stroke="none" className="fill-ink text-[15px]">
                            {r.when}
                        </text>
                        <line x1={x(r.left)} x2={x(r.right)} y1={y} y2={y} strokeWidth="3" />
                        <path d={`M${x(r.left) + 7} ${y - 8}l-9 8 9 8z`} className="fill-sheet" strokeWidth="2.5" />
                        <path d={`M${x(r.right) - 7} ${y - 8}l9 8-9 8z`} className="fill-sheet" strokeWidth="2.5" />
                        <text x="730" y={y + 5} stroke="none" className="fill-ink font-mono text-[14px]">
                            {r.left} | {r.right}, {r.apart > 0 ? '+' : ''}
                            {r.apart}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}
