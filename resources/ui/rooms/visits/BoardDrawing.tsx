import { type KeyboardEvent, type PointerEvent, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api/client';
import { BoardGround, BoardNames } from './BoardGround';
import { Block, Mark } from './BoardMarks';
import { dropped, GAP, LANE, measures } from './board';

export type Card = Schemas['BoardCard'];

/** The board: zones and time, the aircraft's configuration behind, people above, now and the exit across. */
export function BoardDrawing({
    board,
    wide: asked,
    chosen,
    moved,
    dimmed,
    may,
    onChoose,
    onDrop,
}: {
    board: Schemas['BoardView'];
    /** Pixels a slot; 0 for as many as let the whole be seen. */
    wide: number;
    chosen: number | null;
    moved: Set<number>;
    /** Cards that nobody looks for now. */
    dimmed: Set<number>;
    may: boolean;
    onChoose: (id: number) => void;
    onDrop: (card: Card, slot: number) => void;
}) {
    const scroll = useRef<HTMLDivElement>(null);
    const [room, setRoom] = useState(900);
    const wide = asked === 0 ? (room - 2) / board.slots : asked;
    const [drag, setDrag] = useState<{ card: Card; by: number } | null>(null);
    const at = measures(board, wide);
    const { head, body, height, width, layout } = at;
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
            <BoardNames board={board} at={at} />
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
            <section ref={scroll} className="min-w-0 flex-1 overflow-x-auto" aria-label="Board" tabIndex={0}>
                <svg width={width} height={height}>
                    <title>Cards by zone and time</title>
                    <BoardGround board={board} at={at} />
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
                                    data-card-id={c.id}
                                    className={`${dimmed.has(c.id) ? 'opacity-20' : ''} outline-none [&:focus-visible_path]:stroke-[3] ${may && c.state === 'open' ? 'cursor-grab touch-none' : 'cursor-pointer'}`}
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
