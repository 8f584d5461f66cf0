import { useDraggable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { Glyph } from '../../parts/State';
import type { Shown } from './places';

/** The people of the base: how full their shift is; dragged onto a place. */
export function People({ view, may }: { view: Shown; may: boolean }) {
    return (
        <aside>
            <h2 className="mb-1 font-semibold">At {view.base}</h2>
            <ul className="divide-y divide-rule/60">
                {view.people.map((p) => (
                    <Draggable key={p.id} person={p} may={may}>
                        <span className="flex items-baseline justify-between gap-2">
                            <span className={p.there ? 'font-semibold' : ''}>
                                {p.name}
                                {p.trainee && ' (trainee)'}
                                <span className="ml-2 text-sm font-normal text-soft">{p.skills.join(', ')}</span>
                            </span>
                            <span className="text-sm text-soft">{p.there ? `${p.given} of ${p.hours} h` : p.said}</span>
                        </span>
                        {p.there && (
                            <span className="mt-0.5 block h-1.5 rounded-full bg-shade" aria-hidden="true">
                                <span
                                    className="block h-1.5 rounded-full bg-spruce"
                                    style={{ width: `${Math.min(100, (p.given / Math.max(p.hours, 0.1)) * 100)}%` }}
                                />
                            </span>
                        )}
                        {p.there && p.said && <span className="block text-sm text-soft">{p.said}</span>}
                        {p.conflicts.map((c) => (
                            <span key={c} className="block text-sm font-semibold text-rust">
                                <Glyph state="stop" size={12} /> {c}
                            </span>
                        ))}
                    </Draggable>
                ))}
            </ul>
        </aside>
    );
}

/** Somebody who is there, to be dragged onto a place; by keyboard one begins at the place. */
function Draggable({ person, may, children }: { person: Schemas['ShiftPerson']; may: boolean; children: ReactNode }) {
    const able = may && person.there;
    const { listeners, setNodeRef, isDragging } = useDraggable({ id: person.id, disabled: !able });
    return (
        <li
            ref={setNodeRef}
            {...(able ? listeners : {})}
            data-draggable={able}
            data-person={person.name}
            className={`touch-manipulation py-1.5 select-none ${person.there ? 'cursor-grab' : 'text-soft'} ${isDragging ? 'opacity-40' : ''}`}
        >
            {children}
        </li>
    );
}
