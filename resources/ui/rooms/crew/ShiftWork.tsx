import { Link } from 'react-router';
import type { Shown, Slot } from './places';
import { Place } from './ShiftPlace';

type Props = { view: Shown; may: boolean; dragged: number | null; onOpen: (slot: Slot) => void };

/** The work of the shift, card by card, with its places. */
export function Work({ view, may, dragged, onOpen }: Props) {
    const cards = [...new Set(view.slots.map((s) => `${s.mark}|${s.number}|${s.title}`))];
    return (
        <>
            {cards.map((c) => {
                const slots = view.slots.filter((s) => `${s.mark}|${s.number}|${s.title}` === c);
                const first = slots[0] as Slot;
                return (
                    <section key={c} className="mb-4" aria-label={`${first.mark} ${first.number} ${first.title}`}>
                        <h2 className="flex items-baseline gap-2 border-b border-rule pb-1">
                            <b className="font-mono">{first.mark}</b>
                            <span className="min-w-0 truncate font-semibold">
                                {first.cardId === null ? (
                                    first.title
                                ) : (
                                    <Link to={`/floor/${first.cardId}`} className="underline-offset-4 hover:underline">
                                        <span className="font-mono text-sm text-soft">{first.number}</span>{' '}
                                        {first.title}
                                    </Link>
                                )}
                            </span>
                            <span className="ml-auto font-mono text-sm text-soft">
                                {first.from}–{first.until}
                            </span>
                        </h2>
                        {slots.map((s) => (
                            <Place
                                key={s.id}
                                slot={s}
                                view={view}
                                may={may}
                                onOpen={() => onOpen(s)}
                                dragged={dragged}
                            />
                        ))}
                    </section>
                );
            })}
        </>
    );
}
