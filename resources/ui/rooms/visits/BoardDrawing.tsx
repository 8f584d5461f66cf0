import { type KeyboardEvent, type PointerEvent, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Block, Mark } from './BoardMarks';
import { BAND, clipped, dropped, GAP, LANE, PEOPLE, rows, steps } from './board';

export type Card = Schemas['BoardCard'];

/** Textures of the aircraft's states, told apart without colour. */
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

/** The board: zones and time, the aircraft's states behind, people beneath, now and the exit across. */
export function BoardDrawing({
    board,
    wide: asked,
    chosen,
    moved,
    may,
    onChoose,
    onDrop,
}: {
    board: Schemas['BoardView'];
    /** Pixels a slot; 0 for as many as let the whole be seen. */
    wide: number;
    chosen: number | null;
    moved: Set<number>;
    may: boolean;
    onChoose: (id: number) => void;
    onDrop: (card: Card, slot: number) => void;
}) {
    const scroll = useRef<HTMLDivElement>(null);
    const [room, setRoom] = useState(900);
    const wide = asked === 0 ? (room - 2) / board.slots : asked;
    const [drag, setDrag] = useState<{ card: Card; by: number } | null>(null);
    const layout = rows(board.zones);
    const head = 22 + board.bands.length * BAND + 6;
    const body = head + layout.height;
    const height = body + board.people.length * (PEOPLE + 10) + 14;
    const width = board.slots * wide;
    const now = board.now;
    useLayoutEffect(() => {
        const measure = () => scroll.current && setRoom(scroll.current.clientWidth);
        measure();
        window.addEventListener('resize', measure);
        return () => window.removeEventListener('resize', measure);
    }, []);
    const begun = useRef(now);
    useEffect(() => {
        // Begin where work goes on now; later on it stays where it was left.
        const box = scroll.current;
        if (box && begun.current !== null) {
            box.scrollLeft = Math.max(0, begun.current * wide - box.clientWidth / 3);
        }
    }, [wide]);
    const start = (card: Card) => (e: PointerEvent) => {
        onChoose(card.id);
        if (!may || card.state !== 'open' || e.button !== 0) {
            return;
        }
        // On the window, so that the pointer may leave the card on its way.
        const from = e.clientX;
        const go = (m: globalThis.PointerEvent) => setDrag({ card, by: m.clientX - from });
        const end = (m: globalThis.PointerEvent) => {
            const by = m.type === 'pointerup' ? m.clientX - from : 0;
            window.removeEventListener('pointermove', go);
            window.removeEventListener('pointerup', end);
            window.removeEventListener('pointercancel', end);
            setDrag(null);
            if (Math.abs(by) >= wide / 2 && Math.abs(by) > 3) {
                onDrop(card, dropped(card.from, by, wide));
            }
        };
        window.addEventListener('pointermove', go);
        window.addEventListener('pointerup', end);
        window.addEventListener('pointercancel', end);
    };
    const key = (card: Card) => (e: KeyboardEvent) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
        if (e.key === 'Enter' || e.key === ' ') {
            e.preventDefault();
            onChoose(card.id);
        } else if (by !== undefined && may && card.state === 'open') {
            e.preventDefault();
            onDrop(card, Math.max(0, Math.round(card.from) + by * (e.shiftKey ? 8 : 1)));
        }
    };
    return (
        <div className="flex rounded-lg border border-rule bg-sheet" data-testid="board">
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
                    <g key={p.skill} transform={`translate(0 ${body + 10 + i * (PEOPLE + 10)})`}>
                        <text x="10" y="14" className="fill-ink text-[13px] font-semibold">
                            {p.skill}
                        </text>
                        <text x="10" y="29" className="fill-soft text-[12px]">
                            most {p.most}
                        </text>
                    </g>
                ))}
            </svg>
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
            <section ref={scroll} className="min-w-0 flex-1 overflow-x-auto" aria-label="Board" tabIndex={0}>
                <svg width={width} height={height}>
                    <title>Cards by zone and time</title>
                    <defs>
                        {board.bands.map((b) => (
                            <pattern
                                key={b.key}
                                id={`band-${b.key}`}
                                width="8"
                                height="8"
                                patternUnits="userSpaceOnUse"
                            >
                                <path
                                    d={textures[b.key] ?? 'M0 4H8'}
                                    className="stroke-slate"
                                    strokeWidth="1.4"
                                    fill="none"
                                />
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
                                {clipped(d.words, (d.to - d.from) * wide)}
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
                        <line
                            key={r.zone.name}
                            x1="0"
                            x2={width}
                            y1={head + r.top}
                            y2={head + r.top}
                            className="stroke-rule"
                        />
                    ))}
                    {board.people.map((p, i) => (
                        <g key={p.skill} transform={`translate(0 ${body + 10 + i * (PEOPLE + 10)})`}>
                            <title>{`${p.skill}: people at work and people there`}</title>
                            <path
                                d={steps(p.spans, 'there', p.most, wide, PEOPLE)}
                                className="fill-shade stroke-rule"
                            />
                            <path
                                d={steps(p.spans, 'used', p.most, wide, PEOPLE)}
                                className="fill-spruce-wash stroke-spruce"
                            />
                        </g>
                    ))}
                    <line x1="0" x2={width} y1={body} y2={body} className="stroke-rule" />
                    <Mark
                        at={board.mustLeave.at * wide}
                        words={board.mustLeave.words}
                        height={body}
                        side={width}
                        dashed
                    />
                    {board.exit && (
                        <Mark at={board.exit.at * wide} words={board.exit.words} height={body} side={width} />
                    )}
                    {layout.rows.map((r) =>
                        r.zone.cards.map((c) => {
                            const by = drag?.card.id === c.id ? drag.by : 0;
                            return (
                                // biome-ignore lint/a11y/useSemanticElements: a button cannot stand inside a drawing
                                <g
                                    key={c.id}
                                    role="button"
                                    tabIndex={0}
                                    aria-pressed={chosen === c.id}
                                    data-board-card={c.number}
                                    className={`outline-none [&:focus-visible_path]:stroke-[3] ${may && c.state === 'open' ? 'cursor-grab touch-none' : 'cursor-pointer'}`}
                                    onPointerDown={start(c)}
                                    onKeyDown={key(c)}
                                >
                                    <Block
                                        card={c}
                                        x={c.from * wide + by}
                                        y={head + r.top + GAP + c.lane * (LANE + GAP)}
                                        width={Math.max(5, (c.to - c.from) * wide - 1.5)}
                                        chosen={chosen === c.id}
                                        moved={moved.has(c.id)}
                                    />
                                </g>
                            );
                        }),
                    )}
                    {now !== null && (
                        <g className="pointer-events-none">
                            <line
                                x1={now * wide}
                                x2={now * wide}
                                y1="0"
                                y2={height}
                                className="stroke-ink"
                                strokeWidth="2"
                            />
                            <path d={`M${now * wide - 6} 0h12l-6 8Z`} className="fill-ink" />
                        </g>
                    )}
                </svg>
            </section>
        </div>
    );
}
