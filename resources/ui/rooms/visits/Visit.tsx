import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useMe, useSend, useVisit } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { VisitPage } from './VisitPage';
import { Done } from './Visits';

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
                <VisitPage
                    visit={v}
                    place={`${v.bay} · ${short(v.start, v.start)} to ${short(v.end, v.start)}`}
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
                    <Findings findings={v.findings} may={may.includes('plan')} />
                    <Cards visit={v} may={may.includes('plan')} onChoose={setChoosing} />
                    {choosing && <Choose {...choosing} onClose={() => setChoosing(null)} />}
                </VisitPage>
            )}
        </Wait>
    );
}

const phases = ['induct', 'safe', 'open', 'look', 'fix', 'close', 'test', 'release'];

const phaseNames: Record<string, string> = {
    induct: 'Induct',
    safe: 'Make safe',
    open: 'Raise and open up',
    look: 'Look',
    fix: 'Fix',
    close: 'Close up',
    test: 'Test',
    release: 'Hand over',
};

/** The cards in the order of the visit. */
function Cards({
    visit,
    may,
    onChoose,
}: {
    visit: Schemas['VisitView'];
    may: boolean;
    onChoose: (choice: { card: Schemas['VisitCard']; role: Role }) => void;
}) {
    const [show, setShow] = useState<'open' | 'short' | 'all'>(visit.closed > 20 ? 'open' : 'all');
    const shown = visit.cards.filter((c) => show === 'all' || (show === 'open' ? c.state !== 'closed' : c.short.length > 0));
    const short = visit.cards.filter((c) => c.short.length > 0).length;
    return (
        <>
            <div className="noprint mt-6 flex items-center gap-4">
                <Choice
                    label="Which cards"
                    value={show}
                    onChange={setShow}
                    options={[
                        { value: 'all', name: `All ${visit.total}` },
                        { value: 'open', name: `Open ${visit.total - visit.closed}` },
                        { value: 'short', name: `Lacking something ${short}` },
                    ]}
                />
                <span className="text-soft">{visit.hours.toLocaleString('en-GB')} h in all</span>
            </div>
            {shown.length === 0 && <p className="mt-4 text-soft">No card like that.</p>}
            {phases.map((phase) => {
                const cards = shown.filter((c) => c.phase === phase);
                return (
                    cards.length > 0 && (
                        <Section key={phase} title={`${phaseNames[phase]} (${cards.length})`}>
                            <ul className="divide-y divide-rule/70">
                                {cards.map((c) => (
                                    <CardLine key={c.id} card={c} may={may} onChoose={onChoose} />
                                ))}
                            </ul>
                        </Section>
                    )
                );
            })}
        </>
    );
}

function CardLine({
    card: c,
    may,
    onChoose,
}: {
    card: Schemas['VisitCard'];
    may: boolean;
    onChoose: (choice: { card: Schemas['VisitCard']; role: Role }) => void;
}) {
    const [state, word] = cardStates[c.state] ?? ['clear', c.state];
    return (
        <li className="grid grid-cols-[7rem_minmax(0,1fr)_9rem_minmax(0,1.2fr)] items-center gap-4 py-2.5" data-card={c.number}>
            <State state={c.lacks && c.state !== 'closed' ? 'stop' : state} word={c.lacks && c.state === 'open' ? 'unassigned' : word} />
            <div className="min-w-0">
                <Link to={`/floor/${c.id}`}>
                    <span className="font-mono text-sm text-soft">{c.number}</span> <b>{c.title}</b>
                    <span className="block text-sm text-soft">
                        {c.when && `${c.when}, `}
                        {c.zone}, {c.needs}, {c.hours} h{c.critical && ', independent inspection'}
                    </span>
                </Link>
                {c.positions.length > 0 && <p className="text-sm text-soft">Positions: {c.positions.join('; ')}</p>}
                {c.parts.length > 0 && <p className="text-sm text-soft">Parts: {c.parts.join('; ')}</p>}
                {c.short.map((s) => (
                    <p key={s} className="text-sm">
                        <State state="watch" word="Lacks" /> {s}
                    </p>
                ))}
            </div>
            <Done done={c.stepsDone} of={c.steps} />
            <div className="flex flex-wrap items-center gap-2">
                {c.people.map((p) => (
                    <Assigned key={p.personId + p.role} cardId={c.id} person={p} may={may && c.state !== 'closed'} />
                ))}
                {c.lacks && <span className="text-sm text-rust">{c.lacks}</span>}
                {may && c.state !== 'closed' && (
                    <>
                        <Button onClick={() => onChoose({ card: c, role: 'perform' })}>Assign</Button>
                        {c.critical && <Button onClick={() => onChoose({ card: c, role: 'duplicate' })}>Inspector</Button>}
                    </>
                )}
            </div>
        </li>
    );
}

/** Findings that have no card yet: one is made with the hours that are reckoned with. */
function Findings({ findings, may }: { findings: Schemas['VisitFinding'][]; may: boolean }) {
    if (findings.length === 0) {
        return null;
    }
    return (
        <Section title={findings.length === 1 ? 'One finding has no card yet' : `${findings.length} findings have no card yet`}>
            <ul className="divide-y divide-rule/70">
                {findings.map((f) => (
                    <FindingLine key={f.id} finding={f} may={may} />
                ))}
            </ul>
        </Section>
    );
}

function FindingLine({ finding: f, may }: { finding: Schemas['VisitFinding']; may: boolean }) {
    const [hours, setHours] = useState('4');
    const send = useSend((body: { hours: number }, headers) =>
        take(api.POST('/api/findings/{id}/card', { params: { path: { id: f.id } }, body, headers })),
    );
    return (
        <li className="py-2" data-finding={f.number}>
            <form
                className="flex flex-wrap items-center gap-3"
                onSubmit={(e) => {
                    e.preventDefault();
                    send.mutate({ hours: Number(hours.replace(',', '.')) });
                }}
            >
                <span className="font-mono text-soft">{f.number}</span> <b>{f.place}</b> {f.extent}
                <span className="flex-1 text-sm text-soft">found on {f.card}</span>
                {may && (
                    <>
                        <label className="flex items-center gap-2">
                            Hours
                            <input
                                className="h-9 w-20 rounded-lg border-2 border-soft bg-sheet px-2"
                                inputMode="decimal"
                                name="hours"
                                required
                                value={hours}
                                onChange={(e) => setHours(e.target.value)}
                            />
                        </label>
                        <Button type="submit" disabled={send.isPending}>
                            Make its card
                        </Button>
                    </>
                )}
            </form>
            <Trouble error={send.error} />
        </li>
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
                            {p.remark && <span className="block text-sm text-ochre">{p.remark}</span>}
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
