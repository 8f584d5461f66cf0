import { type FormEvent, type ReactNode, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useManual, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

type Room = Schemas['ManualRoom'];
type Piece = Schemas['DiffPiece'];

/** A manual: what its last revision changed, old beside new, and who must read what again before anyone starts. */
export function Manual() {
    return <Wait query={useManual(String(useParams().code))}>{(room) => <ManualOf room={room} />}</Wait>;
}

function ManualOf({ room }: { room: Room }) {
    const [reading, setReading] = useState<Schemas['MarkedTemplate'] | null>(null);
    const [accepting, setAccepting] = useState<Schemas['MarkedCard'] | null>(null);
    const [all, setAll] = useState(false);
    const marked = room.templates.filter((t) => t.marked);
    // What a marked template already shows is not told twice.
    const changed = room.passages.filter((p) => p.state !== 'same' && !marked.some((t) => t.section === p.section));
    return (
        <Page
            over={
                <Link className="underline underline-offset-4" to="/library">
                    Library
                </Link>
            }
            sentence={room.sentence}
            note={`${room.title}, revision ${room.revision}${room.revisions[0] ? `, issued ${short(room.revisions[0].issued)}: ${room.revisions[0].summary}` : ''}`}
            actions={<Button onClick={() => window.print()}>Print</Button>}
        >
            {marked.map((t) => (
                <div key={t.id} className="mb-3 rounded-xl border-2 border-rust bg-sheet p-4" data-template={t.code}>
                    <div className="flex flex-wrap items-center justify-between gap-3">
                        <p>
                            <State state="stop" word="read again" /> <b className="font-mono">{t.code}</b> <b>{t.title}</b>{' '}
                            <span className="text-soft">
                                from revision {t.revision}
                                {t.method && `, method: ${t.method}`}; {t.textState}
                            </span>
                        </p>
                        {room.may.includes('reread') && (
                            <Button kind="main" className="min-h-12" onClick={() => setReading(t)}>
                                I read it again
                            </Button>
                        )}
                    </div>
                    {t.pieces.length > 0 && <Beside pieces={t.pieces} old={`revision ${t.revision}`} now={`revision ${room.revision}`} />}
                    {t.proposed && (
                        <p className="mt-2">
                            The revision brings a method for it: <b>{t.proposed}</b>.
                        </p>
                    )}
                </div>
            ))}
            {room.cards.length > 0 && (
                <Section title="Open cards to be accepted">
                    <ul className="divide-y divide-rule">
                        {room.cards.map((c) => (
                            <li key={c.id} className="flex min-h-14 flex-wrap items-center justify-between gap-3 py-2" data-card={c.number}>
                                <span>
                                    <b className="font-mono">{c.mark}</b>{' '}
                                    <Link className="underline underline-offset-4" to={`/floor/${c.id}`}>
                                        {c.number} {c.title}
                                    </Link>{' '}
                                    <span className="text-soft">
                                        from revision {c.revision}
                                        {c.begun ? ', begun' : ', not begun'}
                                    </span>
                                </span>
                                {c.templateRead ? (
                                    <Button className="min-h-12" onClick={() => setAccepting(c)}>
                                        Accept it
                                    </Button>
                                ) : (
                                    <State state="waiting" word="its template comes first" />
                                )}
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            {changed.length > 0 && (
                <Section
                    title={marked.length > 0 ? `What else revision ${room.revision} changed` : `What revision ${room.revision} changed`}
                >
                    {changed.map((p) => (
                        <div key={p.section} className="mb-4">
                            <h3 className="font-semibold">
                                <span className="font-mono">{p.section}</span> {p.title}{' '}
                                <span className="font-normal text-soft">{p.state}</span>
                            </h3>
                            <Beside pieces={p.pieces} old="before" now={`revision ${room.revision}`} />
                        </div>
                    ))}
                </Section>
            )}
            <Questions room={room} />
            <Section
                title="Card templates written from it"
                aside={
                    <Button kind="quiet" onClick={() => setAll(!all)}>
                        {all ? 'fewer' : `all ${room.templates.length}`}
                    </Button>
                }
            >
                <ul className="divide-y divide-rule/60">
                    {room.templates
                        .filter((t) => all || t.reread || t.method || t.heldAt)
                        .map((t) => (
                            <li key={t.id} className="py-1.5">
                                <State state={t.marked ? 'stop' : 'clear'} word={t.marked ? 'read again' : 'current'} />{' '}
                                <b className="font-mono">{t.code}</b> {t.title}, revision {t.revision}
                                {t.heldAt && ', held there'}
                                {t.method && `; method: ${t.method}`}
                                {t.fleets.length > 0 && ` for ${t.fleets.join(', ')}`}
                                {t.reread && <span className="block text-sm text-soft">Read again by {t.reread}</span>}
                            </li>
                        ))}
                </ul>
            </Section>
            {reading && <Reread template={reading} room={room} onClose={() => setReading(null)} />}
            {accepting && <Accept card={accepting} onClose={() => setAccepting(null)} />}
        </Page>
    );
}

/** Old text beside new, what went struck, what came underlined. */
function Beside({ pieces, old, now }: { pieces: Piece[]; old: string; now: string }) {
    const side = (title: string, leave: string) => (
        <div className="rounded-lg border border-rule bg-paper p-3">
            <p className="mb-1 text-sm text-soft">{title}</p>
            <p className="leading-relaxed whitespace-pre-wrap">
                {pieces
                    .filter((p) => p.kind !== leave)
                    .map((p, i) =>
                        p.kind === 'same' ? (
                            // biome-ignore lint/suspicious/noArrayIndexKey: pieces of one comparison never move
                            <span key={i}>{p.text}</span>
                        ) : p.kind === 'gone' ? (
                            // biome-ignore lint/suspicious/noArrayIndexKey: as above
                            <del key={i} className="bg-rust-wash decoration-rust decoration-2">
                                {p.text}
                            </del>
                        ) : (
                            // biome-ignore lint/suspicious/noArrayIndexKey: as above
                            <ins key={i} className="bg-shade font-semibold decoration-spruce decoration-2 underline-offset-4">
                                {p.text}
                            </ins>
                        ),
                    )}
                {pieces.every((p) => p.kind === leave) && <i className="text-soft">nothing</i>}
            </p>
        </div>
    );
    return (
        <div className="mt-2 grid grid-cols-2 gap-3 max-[800px]:grid-cols-1">
            {side(old, 'new')}
            {side(now, 'gone')}
        </div>
    );
}

/** The steps of a method, as they stand on a card. */
function Steps({ title, steps }: { title: string; steps: string[] }) {
    return (
        <div className="rounded-lg border border-rule bg-sheet p-3">
            <p className="mb-1 font-semibold">
                {title}, {steps.length} steps
            </p>
            <ol className="list-decimal space-y-1 pl-5 text-sm">
                {steps.map((s) => (
                    <li key={s}>{s}</li>
                ))}
            </ol>
        </div>
    );
}

type Outcome = 'stands' | 'new' | 'both';
type Option<O extends Outcome> = { value: O; says: string };

/** Accepts something that was read again: what follows from it, and a note, under one's own name. */
function Agree<O extends Outcome>({
    title,
    options,
    first,
    busy,
    error,
    ready = true,
    onPick,
    onSend,
    onClose,
    reads,
    children,
}: {
    title: string;
    reads?: ReactNode;
    options: Option<O>[];
    first: O | null;
    busy: boolean;
    error: Failure | null;
    ready?: boolean;
    onPick?: (outcome: O) => void;
    onSend: (outcome: O, note: string) => void;
    onClose: () => void;
    children?: ReactNode;
}) {
    const [outcome, setOutcome] = useState<O | null>(first);
    const [note, setNote] = useState('');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        if (outcome) {
            onSend(outcome, note);
        }
    };
    return (
        <Dialog open onClose={onClose} title={title} wide={reads !== undefined}>
            <form onSubmit={submit} className="space-y-3">
                {reads}
                <fieldset className="grid gap-2">
                    <legend className="sr-only">Outcome</legend>
                    {options.map((o) => (
                        <label
                            key={o.value}
                            className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${outcome === o.value ? 'border-ink' : 'border-rule'}`}
                        >
                            <input
                                type="radio"
                                name="outcome"
                                className="size-6 shrink-0 accent-spruce"
                                checked={outcome === o.value}
                                onChange={() => {
                                    setOutcome(o.value);
                                    onPick?.(o.value);
                                }}
                            />
                            {o.says}
                        </label>
                    ))}
                </fieldset>
                {children}
                <label className="block">
                    <span className="mb-1 block font-semibold">What you read, and what it means for the work</span>
                    <textarea
                        name="note"
                        rows={3}
                        value={note}
                        onChange={(e) => setNote(e.target.value)}
                        className="w-full rounded-lg border-2 border-soft bg-sheet p-3"
                    />
                </label>
                <Trouble error={error} />
                <Button kind="main" big type="submit" disabled={busy || !ready || outcome === null || note.trim() === ''}>
                    Accept, under my name
                </Button>
            </form>
        </Dialog>
    );
}

function Reread({ template, room, onClose }: { template: Schemas['MarkedTemplate']; room: Room; onClose: () => void }) {
    const [both, setBoth] = useState(false);
    const [fleets, setFleets] = useState<string[]>([]);
    const send = useSend(
        (body: { outcome: Outcome; note: string; fleets?: string[] }, headers) =>
            take(api.POST('/api/library/templates/{id}/reread', { params: { path: { id: template.id } }, body, headers })),
        onClose,
    );
    const options: Option<Outcome>[] = [
        {
            value: 'stands',
            says: template.heldAt
                ? `It stays at revision ${template.revision}, as the approved data of its fleets says`
                : 'Its steps stand as they are written',
        },
        ...(template.proposed === null
            ? []
            : [
                  { value: 'new' as const, says: `The new method, ${template.proposed}, for every fleet` },
                  ...(template.mayBoth
                      ? [
                            {
                                value: 'both' as const,
                                says: `Both: ${template.proposed} for the fleets named, the present one for the others`,
                            },
                        ]
                      : []),
              ]),
    ];
    return (
        <Agree
            title={`${template.code} ${template.title}, read against revision ${room.revision}`}
            options={options}
            first={null}
            busy={send.isPending}
            error={send.error}
            ready={!both || fleets.length > 0}
            reads={
                <>
                    {template.pieces.length > 0 && (
                        <Beside pieces={template.pieces} old={`revision ${template.revision}`} now={`revision ${room.revision}`} />
                    )}
                    {template.stepsProposed.length > 0 && (
                        <div className="mt-2 grid grid-cols-2 gap-3 max-[800px]:grid-cols-1">
                            <Steps title={template.method || 'the present method'} steps={template.stepsNow} />
                            <Steps title={template.proposed ?? ''} steps={template.stepsProposed} />
                        </div>
                    )}
                </>
            }
            onPick={(o) => setBoth(o === 'both')}
            onSend={(outcome, note) => send.mutate({ outcome, note, ...(outcome === 'both' ? { fleets } : {}) })}
            onClose={onClose}
        >
            {both && (
                <fieldset>
                    <legend className="font-semibold">Fleets whose approved data has the new method</legend>
                    {room.fleets.map((f) => (
                        <label key={f} className="flex min-h-12 items-center gap-3">
                            <input
                                type="checkbox"
                                className="size-6 shrink-0 accent-spruce"
                                checked={fleets.includes(f)}
                                onChange={(e) => setFleets((s) => (e.target.checked ? [...s, f] : s.filter((x) => x !== f)))}
                            />
                            {f}
                        </label>
                    ))}
                </fieldset>
            )}
        </Agree>
    );
}

function Accept({ card, onClose }: { card: Schemas['MarkedCard']; onClose: () => void }) {
    const send = useSend(
        (body: { version: number; outcome: 'stands' | 'new'; note: string }, headers) =>
            take(api.POST('/api/cards/{id}/reread', { params: { path: { id: card.id } }, body, headers })),
        onClose,
    );
    const options: Option<'stands' | 'new'>[] = [
        ...(card.begun ? [] : [{ value: 'new' as const, says: 'Make its steps anew from the template' }]),
        { value: 'stands', says: 'Its steps stand as they are' },
    ];
    return (
        <Agree
            title={`Card ${card.number} on ${card.mark}`}
            options={options}
            first={card.begun ? 'stands' : 'new'}
            busy={send.isPending}
            error={send.error}
            onSend={(outcome, note) => send.mutate({ version: card.version, outcome, note })}
            onClose={onClose}
        />
    );
}

/** Questions to the support desk, and the answers that came. */
function Questions({ room }: { room: Room }) {
    const [section, setSection] = useState('');
    const [text, setText] = useState('');
    const ask = useSend(
        (body: { section: string; text: string }, headers) =>
            take(api.POST('/api/library/manuals/{code}/questions', { params: { path: { code: room.code } }, body, headers })),
        () => setText(''),
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        ask.mutate({ section, text });
    };
    return (
        <Section title="Asked of the support desk">
            {room.questions.length === 0 && <p className="text-soft">Nothing was asked yet.</p>}
            <ul className="divide-y divide-rule">
                {room.questions.map((q) => (
                    <li key={q.id} className="py-3">
                        <p>
                            <b className="font-mono">{q.section}</b> {q.text}{' '}
                            <span className="text-sm text-soft">
                                {q.by}, {q.at}
                            </span>
                        </p>
                        {q.answer ? (
                            <p className="mt-1 border-l-4 border-spruce pl-3">
                                {q.answer}{' '}
                                <span className="text-sm text-soft">
                                    {q.reference}; entered by {q.answeredBy}, {q.answeredAt}
                                </span>
                            </p>
                        ) : (
                            <Answer id={q.id} may={room.may.includes('reread')} />
                        )}
                    </li>
                ))}
            </ul>
            {room.may.includes('ask') && (
                <form onSubmit={submit} className="noprint mt-3 grid grid-cols-[8rem_minmax(0,1fr)_auto] gap-2">
                    <input
                        aria-label="Section"
                        placeholder="76-22"
                        value={section}
                        onChange={(e) => setSection(e.target.value)}
                        className="h-12 rounded-lg border-2 border-soft bg-sheet px-3 font-mono"
                    />
                    <input
                        aria-label="Question"
                        placeholder="What is to be asked"
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                        className="h-12 rounded-lg border-2 border-soft bg-sheet px-3"
                    />
                    <Button type="submit" className="min-h-12" disabled={ask.isPending || section === '' || text === ''}>
                        Ask
                    </Button>
                </form>
            )}
            <Trouble error={ask.error} />
        </Section>
    );
}

function Answer({ id, may }: { id: number; may: boolean }) {
    const [answer, setAnswer] = useState('');
    const [reference, setReference] = useState('');
    const send = useSend((body: { answer: string; reference?: string }, headers) =>
        take(api.POST('/api/library/questions/{id}/answer', { params: { path: { id } }, body, headers })),
    );
    if (!may) {
        return (
            <p className="mt-1">
                <State state="waiting" word="no answer yet" />
            </p>
        );
    }
    return (
        <form
            className="noprint mt-2 grid grid-cols-[minmax(0,1fr)_12rem_auto] gap-2"
            onSubmit={(e) => {
                e.preventDefault();
                send.mutate({ answer, ...(reference ? { reference } : {}) });
            }}
        >
            <input
                aria-label="Answer"
                placeholder="No answer yet; enter it when it comes"
                value={answer}
                onChange={(e) => setAnswer(e.target.value)}
                className="h-12 rounded-lg border-2 border-soft bg-sheet px-3"
            />
            <input
                aria-label="Number of the answer"
                placeholder="its number"
                value={reference}
                onChange={(e) => setReference(e.target.value)}
                className="h-12 rounded-lg border-2 border-soft bg-sheet px-3"
            />
            <Button type="submit" className="min-h-12" disabled={send.isPending || answer === ''}>
                Enter
            </Button>
            <Trouble error={send.error} />
        </form>
    );
}
