import { useRef, useState } from 'react';
import type { Block, Season } from './laid';
import { SeasonBlockMark } from './SeasonBlockMark';
import { SeasonLeft } from './SeasonLeft';
import { Days, RowOf } from './SeasonRows';
import { BLOCK, dayWide, HEAD, rowsOf, WIDE, xOf, yOf } from './scale';

interface Props {
    season: Season;
    reading: 'aircraft' | 'bays';
    chosen: string | null;
    may: boolean;
    onChoose: (id: string | null) => void;
    onMove: (id: string, by: number, bay?: string) => void;
    onLengthen: (id: string, by: number) => void;
    onPin: (id: string) => void;
}

interface Drag {
    id: string;
    x: number;
    y: number;
    longer: boolean;
    by: number;
    down: number;
}

/**
 * The fleet down and the days across, or the bays: visits as blocks, which are dragged to another day or bay, pulled
 * longer at their right end, or moved by the arrow keys.
 */
export function SeasonDrawing({ season, reading, chosen, may, onChoose, onMove, onLengthen, onPin }: Props) {
    const rows = rowsOf(season, reading);
    const bottom = rows.length === 0 ? HEAD : (rows.at(-1)?.top ?? 0) + (rows.at(-1)?.high ?? 0);
    const fleets = season.fleets.filter((f) => f.needs !== null);
    const svg = useRef<SVGSVGElement>(null);
    const [drag, setDrag] = useState<Drag | null>(null);
    const days = season.days;
    const perPixel = () => WIDE / (svg.current?.getBoundingClientRect().width ?? WIDE);
    const begin = (e: React.PointerEvent, block: Block, longer: boolean) => {
        if (may && !block.stands) {
            svg.current?.setPointerCapture(e.pointerId);
            setDrag({ id: block.id, x: e.clientX, y: e.clientY, longer, by: 0, down: 0 });
        } else {
            onChoose(block.id);
        }
    };
    const go = (e: React.PointerEvent) => {
        if (drag) {
            const by = Math.round(((e.clientX - drag.x) * perPixel()) / dayWide(days));
            setDrag({ ...drag, by, down: (e.clientY - drag.y) * perPixel() });
        }
    };
    const bayUnder = (block: Block, down: number): string | undefined => {
        const row = rows.find((r) => r.id === block.bay);
        const at = row ? row.top + row.high / 2 + down : 0;
        return reading === 'bays' ? rows.find((r) => r.top <= at && at < r.top + r.high)?.id : undefined;
    };
    const drop = () => {
        const block = season.visits.find((v) => v.id === drag?.id);
        if (drag && block) {
            const bay = drag.longer ? undefined : bayUnder(block, drag.down);
            if (drag.longer && drag.by !== 0) {
                onLengthen(block.id, drag.by);
            } else if (drag.by !== 0 || (bay !== undefined && bay !== block.bay)) {
                onMove(block.id, drag.by, bay);
            } else {
                onChoose(block.id);
            }
        }
        setDrag(null);
    };
    const keys = (e: React.KeyboardEvent, block: Block) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
        if (e.key === 'Enter' || e.key === ' ') {
            e.preventDefault();
            onChoose(block.id);
        } else if (may && !block.stands && by !== undefined) {
            e.preventDefault();
            e.shiftKey ? onLengthen(block.id, by) : onMove(block.id, by);
        } else if (may && !block.stands && (e.key === 'p' || e.key === 'P')) {
            onPin(block.id);
        }
    };
    return (
        <svg
            ref={svg}
            viewBox={`0 0 ${WIDE} ${bottom + 10 + fleets.length * 30}`}
            className="w-full rounded-lg border border-rule bg-sheet select-none"
            onPointerMove={go}
            onPointerUp={drop}
            onPointerCancel={() => setDrag(null)}
            data-testid="season"
        >
            <title>Visits by day</title>
            <Days season={season} bottom={bottom} />
            {rows.map((row) => (
                <RowOf key={row.id} row={row} season={season} reading={reading}>
                    {row.blocks.map(({ block, lane }) => {
                        const dragged = drag?.id === block.id ? drag : null;
                        const x = xOf(block.from, days) + (dragged && !dragged.longer ? dragged.by * dayWide(days) : 0);
                        const right = xOf(block.to + 1, days) + (dragged ? dragged.by * dayWide(days) : 0);
                        return (
                            <SeasonBlockMark
                                key={block.id}
                                block={block}
                                said={reading === 'aircraft' ? `${block.hours} h` : block.mark}
                                x={x}
                                y={
                                    yOf(row, lane) +
                                    (dragged && reading === 'bays' && !dragged.longer ? dragged.down : 0)
                                }
                                width={Math.max(5, right - x)}
                                high={BLOCK}
                                chosen={chosen === block.id}
                                onPointerDown={(e, longer) => begin(e, block, longer)}
                                onKeyDown={(e) => keys(e, block)}
                            />
                        );
                    })}
                </RowOf>
            ))}
            <SeasonLeft fleets={fleets} top={bottom + 6} days={days} />
        </svg>
    );
}
