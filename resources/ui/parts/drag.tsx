import { DragOverlay, MouseSensor, TouchSensor, useDroppable, useSensor, useSensors } from '@dnd-kit/core';
import type { HTMLAttributes, ReactNode } from 'react';

/** Dragging by mouse and by finger: a finger rests a moment first, so that the page still scrolls under it. */
export const useDragSensors = () =>
    useSensors(
        useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
        useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
    );

/** What is under the pointer while it is dragged. */
export function Dragged({ children }: { children: ReactNode }) {
    return (
        <DragOverlay dropAnimation={null}>
            {children && (
                <span className="inline-block rounded-lg border-2 border-ink bg-sheet px-3 py-2 font-semibold whitespace-nowrap">
                    {children}
                </span>
            )}
        </DragOverlay>
    );
}

/** A section that something can be dropped on. */
export function DropSection({
    id,
    className = '',
    children,
    ...rest
}: HTMLAttributes<HTMLElement> & { id: string; children: ReactNode }) {
    const { setNodeRef, isOver } = useDroppable({ id });
    return (
        <section ref={setNodeRef} {...rest} className={`${className} ${isOver ? 'outline-2 outline-spruce' : ''}`}>
            {children}
        </section>
    );
}
