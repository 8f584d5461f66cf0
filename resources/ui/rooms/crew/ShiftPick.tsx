import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { State } from '../../parts/State';
import { roles, type Shown, type Slot } from './places';

/** Who could take a place, and why each other cannot. */
export function Pick({
    slot,
    view,
    onPut,
    onClose,
}: {
    slot: Slot;
    view: Shown;
    onPut: (person: number | null) => void;
    onClose: () => void;
}) {
    const sorted = [...slot.candidates].sort((a, b) => Number(a.why !== null) - Number(b.why !== null));
    const of = (id: number) => view.people.find((p) => p.id === id);
    return (
        <Dialog
            open
            onClose={onClose}
            title={`${slot.mark} ${slot.number} ${slot.title}: who ${roles[slot.role]}${slot.skill ? ` ${slot.skill}` : ''}`}
        >
            <ul className="divide-y divide-rule">
                {slot.person !== null && (
                    <li className="py-1">
                        <Button className="min-h-12 w-full" onClick={() => onPut(null)}>
                            Leave it open
                        </Button>
                    </li>
                )}
                {sorted.map((c) => {
                    const p = of(c.person);
                    return (
                        <li key={c.person} className="py-1">
                            <button
                                type="button"
                                disabled={c.why !== null}
                                onClick={() => onPut(c.person)}
                                className="flex min-h-12 w-full items-center justify-between gap-3 rounded-lg px-3 text-left enabled:hover:bg-sheet"
                            >
                                <span className={c.why === null ? 'font-semibold' : 'text-soft'}>{p?.name}</span>
                                <span className="text-sm text-soft">
                                    {c.why ??
                                        (c.person === slot.person ? (
                                            <State state="clear" word="has it" />
                                        ) : (
                                            `${p?.given ?? 0} of ${p?.hours ?? 0} h given`
                                        ))}
                                </span>
                            </button>
                        </li>
                    );
                })}
            </ul>
        </Dialog>
    );
}
