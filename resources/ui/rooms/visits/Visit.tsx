import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useMe, useSend, useVisit } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Progress } from './Visits';
import { visitViews } from './views';

type Role = 'perform' | 'duplicate';

export const cardStates: Record<string, [string, string]> = {
    open: ['clear', 'open'],
    in_work: ['watch', 'in work'],
    signed: ['waiting', 'to inspect'],
    closed: ['clear', 'closed'],
};

/** A visit with its cards and the people on them. */
export function Visit() {
    const query = useVisit(Number(useParams().id));
    const may = useMe().data?.may ?? [];
    const [choosing, setChoosing] = useState<{ card: Schemas['VisitCard']; role: Role } | null>(null);
    return (
        <Wait query={query}>
            {(v) => (
                <Page
                    over={
                        <>
                            <Tabs label="Visit" tabs={visitViews(v.id)} />
                            <Link to={`/fleet/${v.mark}`} className="font-mono font-bold text-ink underline underline-offset-4">
                                {v.mark}
                            </Link>{' '}
                            · {v.type} · {v.bay} · {short(v.start, v.start)} to {short(v.end, v.start)}
                        </>
                    }
                    sentence={`${v.title}: ${v.sentence}`}
                    actions={
                        <>
                            <a
                                href={`/api/release/${v.id}/cards.pdf`}
                                target="_blank"
                                rel="noreferrer"
                                className="inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold"
                            >
                                Print the cards
                            </a>
                            <Link
                                to={`/release/${v.id}`}
                                className="inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold"
                            >
                                Release
                            </Link>
                        </>
                    }
                >
                    <Section title={`${v.cards.length} ${v.cards.length === 1 ? 'card' : 'cards'}, ${v.hours} h`}>
                        <ul className="divide-y divide-rule/70">
                            {v.cards.map((c) => {
                                const [state, word] = cardStates[c.state] ?? ['clear', c.state];
                                return (
                                    <li
                                        key={c.id}
                                        className="grid grid-cols-[7rem_minmax(0,1fr)_9rem_minmax(0,1.2fr)] items-center gap-4 py-2.5"
                                        data-card={c.number}
                                    >
                                        <State
                                            state={c.lacks && c.state !== 'closed' ? 'stop' : state}
                                            word={c.lacks && c.state === 'open' ? 'unassigned' : word}
                                        />
                                        <Link to={`/floor/${c.id}`} className="min-w-0">
                                            <span className="font-mono text-sm text-soft">{c.number}</span> <b>{c.title}</b>
                                            <span className="block text-sm text-soft">
                                                {c.zone}, {c.skill}, {c.hours} h{c.critical && ', independent inspection'}
                                            </span>
                                        </Link>
                                        <Progress done={c.stepsDone} of={c.steps} />
                                        <div className="flex flex-wrap items-center gap-2">
                                            {c.people.map((p) => (
                                                <Assigned
                                                    key={p.personId + p.role}
                                                    cardId={c.id}
                                                    person={p}
                                                    may={may.includes('plan') && c.state !== 'closed'}
                                                />
                                            ))}
                                            {c.lacks && <span className="text-sm text-rust">{c.lacks}</span>}
                                            {may.includes('plan') && c.state !== 'closed' && (
                                                <>
                                                    <Button onClick={() => setChoosing({ card: c, role: 'perform' })}>Assign</Button>
                                                    {c.critical && (
                                                        <Button onClick={() => setChoosing({ card: c, role: 'duplicate' })}>
                                                            Inspector
                                                        </Button>
                                                    )}
                                                </>
                                            )}
                                        </div>
                                    </li>
                                );
                            })}
                        </ul>
                    </Section>
                    {choosing && <Choose {...choosing} onClose={() => setChoosing(null)} />}
                </Page>
            )}
        </Wait>
    );
}

const assign = (body: { id: number; person: number; role: string; remove?: boolean }, headers: Record<string, string>) =>
    take(
        api.POST('/api/cards/{id}/assignments', {
            params: { path: { id: body.id } },
            body: { person: body.person, role: body.role, remove: body.remove ?? false },
            headers,
        }),
    );

function Assigned({ cardId, person, may }: { cardId: number; person: Schemas['AssignedView']; may: boolean }) {
    const send = useSend(assign);
    return (
        <span className="inline-flex items-center rounded-lg border border-rule bg-sheet pl-2.5">
            <span className="py-1">
                {person.name} <span className="font-mono text-sm text-soft">{person.stamp}</span>
                {person.role === 'duplicate' && <span className="text-sm text-soft"> inspects</span>}
            </span>
            {may ? (
                <button
                    type="button"
                    title={send.error?.message ?? 'Take off the card'}
                    className={`ml-1 min-h-8 px-2 ${send.error ? 'text-rust' : ''}`}
                    aria-label={`Take ${person.name} off`}
                    onClick={() => send.mutate({ id: cardId, person: person.personId, role: person.role, remove: true })}
                >
                    −
                </button>
            ) : (
                <span className="w-2.5" />
            )}
        </span>
    );
}

function Choose({ card, role, onClose }: { card: Schemas['VisitCard']; role: Role; onClose: () => void }) {
    const people = useQuery<Schemas['Candidate'][], Failure>({
        queryKey: ['candidates', card.id, role],
        queryFn: () => take(api.GET('/api/cards/{id}/candidates', { params: { path: { id: card.id }, query: { role } } })),
    });
    const send = useSend(assign, onClose);
    return (
        <Dialog
            open
            onClose={onClose}
            title={role === 'perform' ? `Who works ${card.number}?` : `Who inspects ${card.number} independently?`}
            wide
        >
            <Trouble error={send.error ?? people.error} />
            <ul className="mt-2 divide-y divide-rule/70">
                {people.data?.map((p) => (
                    <li key={p.id} className="flex items-center justify-between gap-4 py-1.5" data-person={p.stamp}>
                        <span>
                            <b>{p.name}</b> <span className="font-mono text-sm text-soft">{p.stamp}</span>{' '}
                            <span className="text-sm text-soft">{p.shift} shift</span>
                            {p.why && <span className="block text-sm text-rust">{p.why}</span>}
                        </span>
                        <Button
                            kind={p.fits ? 'main' : 'plain'}
                            disabled={send.isPending}
                            onClick={() => send.mutate({ id: card.id, person: p.id, role })}
                        >
                            Assign
                        </Button>
                    </li>
                ))}
            </ul>
        </Dialog>
    );
}
