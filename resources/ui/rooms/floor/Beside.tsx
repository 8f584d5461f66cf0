import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { entered } from '../../api/queue';
import { useWaiting } from '../../api/useQueue';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { Glyph, State } from '../../parts/State';
import { CardOut } from './CardOut';
import { NotWhole } from './NotWhole';
import { useClear } from './useClear';

type Card = Schemas['CardView'];

/** Beside the step: what is fitted on the aircraft, who is at this card, what is out on it, what was found and asked. */
export function Beside({ card, onRaise }: { card: Card; onRaise: () => void }) {
    const waiting = useWaiting().filter((w) => w.card === card.id && w.what === 'finding');
    return (
        <aside className="border-l border-rule px-4 pt-4 pb-10 max-[1150px]:col-start-2 max-[1150px]:border-t max-[1150px]:border-l-0">
            <div className="flex items-baseline justify-between gap-2">
                <h2 className="font-semibold">Fitted on {card.mark} now</h2>
                <Link
                    to={`/floor/registers/${card.mark}`}
                    className="-my-3 inline-flex min-h-12 items-center px-2 text-sm underline underline-offset-4"
                >
                    register
                </Link>
            </div>
            {card.safing.length === 0 && (
                <p className="mt-1 text-sm text-soft">No lock, pin, cap, collar or notice is in the register.</p>
            )}
            <ul className="mt-1 divide-y divide-rule">
                {card.safing.map((d, i) => (
                    <li key={d.id} className="grid grid-cols-[1.8rem_1fr] py-2">
                        <span className="mt-0.5 grid size-5 place-items-center rounded-full bg-ink font-mono text-xs text-paper">
                            {i + 1}
                        </span>
                        <span>
                            <b>{d.kind}</b>
                            <span className="block text-sm text-soft">
                                {d.place}, {d.flag}; since {d.since}, {d.by}
                                {d.remover !== null && `; off at ${d.remover}`}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
            <NotWhole open={card.notWhole} mark={card.mark} />
            {card.there.length > 0 && (
                <>
                    <h2 className="mt-5 font-semibold">At this card</h2>
                    <People card={card} />
                </>
            )}
            <div className="mt-5 flex items-baseline justify-between">
                <h2 className="font-semibold">Findings on this card</h2>
                <Link
                    to={`/floor/damage/${card.mark}?card=${card.id}`}
                    className="-my-3 inline-flex min-h-12 items-center px-2 text-sm underline underline-offset-4"
                >
                    damage
                </Link>
            </div>
            {card.findings.length + waiting.length === 0 && <p className="mt-1 text-sm text-soft">None yet.</p>}
            <ul className="mt-1 divide-y divide-rule">
                {card.findings.map((f) => (
                    <li key={f.id} className="py-2" data-finding={f.number}>
                        <Glyph state={f.state === 'open' ? 'stop' : f.state === 'deferred' ? 'watch' : 'clear'} />{' '}
                        <Link
                            to={`/floor/findings/${f.id}`}
                            className="inline-flex min-h-12 items-center pr-2 font-mono font-bold underline underline-offset-4"
                        >
                            {f.number}
                        </Link>{' '}
                        {f.state}
                        {f.severity !== 'minor' && `, ${f.severity}`}
                        <span className="block text-sm">{f.place}</span>
                        <span className="block text-sm text-soft">{f.extent}</span>
                    </li>
                ))}
                {waiting.map((w) => (
                    <li key={w.key} className="py-2" data-testid="finding-waits">
                        <State state="waiting" word="waits on this device" />
                        <span className="block text-sm">{entered(w)}</span>
                    </li>
                ))}
            </ul>
            {card.may.includes('raise') && card.state !== 'closed' && (
                <Button className="mt-2 min-h-12 w-full" onClick={onRaise}>
                    Something is wrong
                </Button>
            )}
            <CardOut card={card} />
            {card.clocked.length > 0 && (
                <>
                    <h2 className="mt-5 font-semibold">Time on it</h2>
                    <ul className="mt-1" data-testid="clocked">
                        {card.clocked.map((c) => (
                            <li key={c.name} className="flex justify-between gap-2 py-0.5">
                                <span>{c.name}</span>
                                <span className={c.on ? 'font-semibold' : 'text-soft'}>
                                    {c.time}
                                    {c.on && ', on now'}
                                </span>
                            </li>
                        ))}
                    </ul>
                </>
            )}
            {card.questions.length > 0 && (
                <>
                    <h2 className="mt-5 font-semibold">Asked about {card.section}</h2>
                    <ul className="divide-y divide-rule">
                        {card.questions.map((q) => (
                            <li key={q.id} className="py-2 text-sm">
                                <p>{q.text}</p>
                                <p className={q.answer ? 'text-soft' : 'text-ochre'}>
                                    {q.answer ?? 'No answer yet.'} {q.reference && `(${q.reference})`}
                                </p>
                            </li>
                        ))}
                    </ul>
                </>
            )}
        </aside>
    );
}

function People({ card }: { card: Card }) {
    const clear = useClear();
    return (
        <ul className="mt-1 divide-y divide-rule">
            {card.there.map((p) => (
                <li key={p.personId} className="flex items-center justify-between gap-2 py-1">
                    <span>
                        {p.name} <span className="text-sm text-soft">since {p.since}</span>
                    </span>
                    {card.may.includes('raise') && (
                        <Button
                            className="min-h-12"
                            disabled={clear.isPending}
                            onClick={() => clear.mutate({ card: card.id, person: p.personId })}
                        >
                            Clear
                        </Button>
                    )}
                </li>
            ))}
            <Trouble error={clear.error} />
        </ul>
    );
}
