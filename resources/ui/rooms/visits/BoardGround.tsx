import type { Schemas } from '../../api/client';
import { BAND, CROWD, clipped, dayLabel, type Measures, PEOPLE, steps } from './board';

/** Textures of the aircraft's configuration, told apart without colour. */
const textures: Record<string, string> = {
    'jacks-on': 'M0 8L8 0',
    'jacks-off': 'M0 0L8 8',
    'power-on': 'M2 0V8M6 0V8',
    'power-off': 'M4 0V3',
    'hydraulics-on': 'M0 2H8M0 6H8',
    'hydraulics-off': 'M0 4H3',
    'fuel-open': 'M0 4H8M4 0V8',
    'oxygen-open': 'M4 2V6M2 4H6',
};

/** What stands behind the cards: days, the aircraft's configuration, people, and the lines of the zones. */
export function BoardGround({ board, at }: { board: Schemas['BoardView']; at: Measures }) {
    const { wide, people, head, height, width, layout } = at;
    return (
        <>
            <defs>
                {board.bands.map((b) => (
                    <pattern key={b.key} id={`band-${b.key}`} width="8" height="8" patternUnits="userSpaceOnUse">
                        <path d={textures[b.key] ?? 'M0 4H8'} className="stroke-slate" strokeWidth="1.4" fill="none" />
                    </pattern>
                ))}
            </defs>
            {board.days.map((d, i) => (
                <g key={d.date}>
                    {i % 2 === 1 && (
                        <rect
                            x={d.from * wide}
                            width={(d.to - d.from) * wide}
                            y="0"
                            height={height}
                            className="fill-paper"
                        />
                    )}
                    <line x1={d.from * wide} x2={d.from * wide} y1="0" y2={height} className="stroke-rule" />
                    <text x={d.from * wide + 6} y="15" className="fill-ink text-[12.5px] font-semibold">
                        {dayLabel(d.words, (d.to - d.from) * wide, i === 0)}
                    </text>
                </g>
            ))}
            {board.bands.map((b, i) =>
                b.spans.map((s) => (
                    <g key={`${b.key}${s.from}`}>
                        <title>{b.title}</title>
                        <rect
                            x={s.from * wide}
                            width={Math.max(2, (s.to - s.from) * wide)}
                            y={22 + i * BAND + 2}
                            height={BAND - 4}
                            fill={`url(#band-${b.key})`}
                            className="stroke-slate"
                        />
                        <rect
                            x={s.from * wide}
                            width={Math.max(2, (s.to - s.from) * wide)}
                            y={head}
                            height={layout.height}
                            fill={`url(#band-${b.key})`}
                            opacity="0.1"
                        />
                    </g>
                )),
            )}
            {layout.rows.map((r) => (
                <line key={r.zone.name} x1="0" x2={width} y1={head + r.top} y2={head + r.top} className="stroke-rule" />
            ))}
            {board.people.map((p, i) => (
                <g key={p.skill} transform={`translate(0 ${people + i * CROWD})`}>
                    <title>{`${p.skill}: people at work and people there`}</title>
                    <path d={steps(p.spans, 'there', p.most, wide, PEOPLE)} className="fill-shade stroke-rule" />
                    <path d={steps(p.spans, 'used', p.most, wide, PEOPLE)} className="fill-spruce-wash stroke-spruce" />
                </g>
            ))}
        </>
    );
}

/** The names at the left of the board, which stay while it scrolls. */
export function BoardNames({ board, at }: { board: Schemas['BoardView']; at: Measures }) {
    const { people, head, height, layout } = at;
    return (
        <svg width="150" height={height} className="shrink-0 border-r border-rule" aria-hidden="true">
            {board.bands.map((b, i) => (
                <text key={b.key} x="142" y={22 + i * BAND + 11} textAnchor="end" className="fill-soft text-[12px]">
                    {b.title}
                </text>
            ))}
            {layout.rows.map((r) => (
                <g key={r.zone.name}>
                    <line x1="0" x2="150" y1={head + r.top} y2={head + r.top} className="stroke-rule" />
                    <text x="10" y={head + r.top + 19} className="fill-ink text-[13px] font-semibold">
                        {clipped(r.zone.name, 140)}
                    </text>
                </g>
            ))}
            {board.people.map((p, i) => (
                <g key={p.skill} transform={`translate(0 ${people + i * CROWD})`}>
                    <text x="10" y="12" className="fill-ink text-[13px] font-semibold">
                        {p.skill}
                    </text>
                    <text x="10" y="24" className="fill-soft text-[11px]">
                        most {p.most}
                    </text>
                </g>
            ))}
        </svg>
    );
}
