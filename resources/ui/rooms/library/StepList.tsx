import { DndContext, type DragEndEvent, useDraggable, useDroppable } from '@dnd-kit/core';
import { useState } from 'react';
import { Dragged, useDragSensors } from '../../parts/drag';
import { row } from '../../parts/row';
import { Glyph } from '../../parts/State';
import { type At, isBlock, key, listed, numberOf, type Step, same } from './card';

/** The steps of a card as a list: chosen by a click or Alt and the arrows, dragged, or moved with Ctrl besides. */
export function StepList({
    steps,
    at,
    bad,
    onChoose,
    onMove,
}: {
    steps: Step[];
    at: At;
    /** Keys of the steps that have a fault. */
    bad: Set<string>;
    onChoose: (at: At) => void;
    onMove: (from: At, to: At) => void;
}) {
    const sensors = useDragSensors();
    const [dragged, setDragged] = useState<string | null>(null);
    const rows = listed(steps);
    const end = ({ active, over }: DragEndEvent) => {
        setDragged(null);
        const from = rows.find((r) => key(r.at) === active.id);
        const to = rows.find((r) => key(r.at) === over?.id);
        if (from && to && !same(from.at, to.at)) {
            onMove(from.at, to.at);
        }
    };
    return (
        <DndContext
            sensors={sensors}
            onDragStart={({ active }) => setDragged(rows.find((r) => key(r.at) === active.id)?.step.title ?? '')}
            onDragEnd={end}
            onDragCancel={() => setDragged(null)}
        >
            <ol aria-label="Steps" data-testid="step-list">
                {rows.map((r) => (
                    <Row
                        key={key(r.at)}
                        id={key(r.at)}
                        step={r.step}
                        no={numberOf(steps, r.at)}
                        deep={r.at.k !== null}
                        on={same(r.at, at)}
                        bad={bad.has(key(r.at))}
                        onChoose={() => onChoose(r.at)}
                    />
                ))}
            </ol>
            <Dragged>{dragged}</Dragged>
        </DndContext>
    );
}

function Row({
    id,
    step,
    no,
    deep,
    on,
    bad,
    onChoose,
}: {
    id: string;
    step: Step;
    no: number;
    deep: boolean;
    on: boolean;
    bad: boolean;
    onChoose: () => void;
}) {
    const drag = useDraggable({ id });
    const drop = useDroppable({ id });
    return (
        <li
            ref={drop.setNodeRef}
            className={`${deep ? 'ml-5 border-l-2 border-slate pl-1' : ''} ${drop.isOver ? 'outline-2 outline-spruce' : ''}`}
        >
            <button
                type="button"
                ref={drag.setNodeRef}
                {...drag.attributes}
                {...drag.listeners}
                data-row={id}
                aria-current={on ? 'step' : undefined}
                onClick={onChoose}
                className={`grid min-h-10 grid-cols-[1.9rem_minmax(0,1fr)_1rem] leading-tight ${row(on)}`}
            >
                <span className="font-mono text-sm text-soft">{isBlock(step.kind) ? '' : no}</span>
                <span className="min-w-0 py-1">
                    <span className="block text-xs text-soft">{step.kind.replace('_', ' ')}</span>
                    <span className="block truncate">{step.title === '' ? '(no title yet)' : step.title}</span>
                </span>
                {bad && (
                    <span>
                        <Glyph state="stop" size={12} />
                        <span className="sr-only">has a fault</span>
                    </span>
                )}
            </button>
        </li>
    );
}
