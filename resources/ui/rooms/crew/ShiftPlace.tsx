import { useDroppable } from '@dnd-kit/core';
import { Glyph } from '../../parts/State';
import { roles, type Shown, type Slot } from './places';

/** One place: who has it, or why nobody can. */
export function Place({
    slot,
    view,
    may,
    dragged,
    onOpen,
}: {
    slot: Slot;
    view: Shown;
    may: boolean;
    dragged: number | null;
    onOpen: () => void;
}) {
    const { setNodeRef, isOver } = useDroppable({ id: slot.id, disabled: !may });
    // What the server said of whoever is being dragged.
    const whyNot = dragged === null ? null : (slot.candidates.find((c) => c.person === dragged)?.why ?? null);
    const person = view.people.find((p) => p.id === slot.person);
    const can = slot.candidates.filter((c) => c.why === null).length;
    // Everybody, with those of one reason together.
    const reasons = new Map<string, string[]>();
    for (const c of slot.candidates) {
        const why = c.why ?? '';
        reasons.set(why, [...(reasons.get(why) ?? []), view.people.find((p) => p.id === c.person)?.name ?? '']);
    }
    return (
        <div
            ref={setNodeRef}
            data-slot={slot.id}
            data-person={slot.person ?? ''}
            className={`grid min-h-12 grid-cols-[11rem_minmax(0,1fr)_4rem] items-center gap-3 border-b border-rule/60 px-2 ${isOver ? 'bg-shade' : ''} ${whyNot !== null && !isOver ? 'opacity-40' : ''}`}
        >
            <span className="text-sm">
                {roles[slot.role]} {slot.skill && <b>{slot.skill}</b>}
            </span>
            <button
                type="button"
                disabled={!may}
                onClick={onOpen}
                className={`min-h-10 rounded-lg border px-3 text-left ${person ? 'border-ink bg-sheet font-semibold' : can > 0 ? 'border-dashed border-slate' : 'border-2 border-rust'} disabled:opacity-100`}
            >
                {isOver && dragged !== null ? (
                    <span className={`block text-right ${whyNot === null ? 'text-spruce' : 'text-rust'}`}>
                        <Glyph state={whyNot === null ? 'clear' : 'stop'} size={13} />{' '}
                        {view.people.find((p) => p.id === dragged)?.name} {whyNot ?? 'takes it'}
                    </span>
                ) : person ? (
                    <>
                        {person.name} <span className="font-mono text-sm font-normal text-soft">{person.stamp}</span>
                        {slot.conflict && <b className="block text-sm text-rust">{slot.conflict}</b>}
                    </>
                ) : can > 0 ? (
                    <span className="text-soft">
                        <Glyph state="waiting" size={13} /> open; {can} could take it
                    </span>
                ) : (
                    <span className="text-rust">
                        <Glyph state="stop" size={13} /> nobody can
                        <span className="block py-1 text-sm text-ink">
                            {[...reasons].map(([why, names]) => (
                                <span key={why} className="block">
                                    <b>{names.join(', ')}</b>: {why}
                                </span>
                            ))}
                        </span>
                    </span>
                )}
            </button>
            <span className="text-right font-mono text-sm text-soft">{slot.hours} h</span>
        </div>
    );
}
