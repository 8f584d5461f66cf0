import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useCard, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Defers, Wait } from '../../parts/Page';
import { Signature } from '../../parts/Signature';
import { Glyph } from '../../parts/State';
import { Raise } from './Raise';
import { StepWork } from './StepWork';

type CardData = Schemas['CardView'];

/** One card: the steps on the left, the one in hand in the middle, what is fitted and found on the right. */
export function Card() {
    return <Wait query={useCard(Number(useParams().id))}>{(card) => <CardOf key={card.id} card={card} />}</Wait>;
}

function CardOf({ card }: { card: CardData }) {
    const [chosen, setChosen] = useState<number | null>(null);
    const [conflict, setConflict] = useState<string | null>(null);
    const [raising, setRaising] = useState(false);
    const [signing, setSigning] = useState<'sign' | 'inspect' | null>(null);
    // What was chosen stays until the card moves on; then the next open step comes up by itself.
    // biome-ignore lint/correctness/useExhaustiveDependencies: the version is the card's own clock
    useEffect(() => setChosen(null), [card.next]);
    const step = card.steps.find((s) => s.no === (chosen ?? card.next));
    const mayWork = card.may.includes('work') && card.held === null && (card.state === 'open' || card.state === 'in_work');
    return (
        <main className="grid min-w-0 flex-1 grid-cols-[17.5rem_minmax(0,1fr)_17rem] max-[1150px]:grid-cols-[15rem_minmax(0,1fr)]">
            <Steps card={card} at={step?.no ?? null} onChoose={setChosen} />
            <div className="min-w-0 px-7 pt-4 pb-12">
                <p className="flex justify-between gap-4 text-soft">
                    <span>{step ? `Step ${step.no} of ${card.steps.length}` : `${card.steps.length} steps`}</span>
                    <span className="truncate">{card.people.length > 0 ? card.people.join(', ') : 'nobody is assigned'}</span>
                </p>
                {conflict && (
                    <div
                        className="mt-3 flex items-start gap-4 rounded-lg border-2 border-ochre bg-ochre-wash p-3"
                        role="alert"
                        data-testid="conflict"
                    >
                        <p className="flex-1">{conflict}</p>
                        <Button onClick={() => setConflict(null)}>Seen</Button>
                    </div>
                )}
                {card.held && (
                    <div className="mt-3 rounded-lg border-2 border-rust bg-rust-wash p-3" role="alert">
                        <b>
                            <Glyph state="stop" /> This card is held.
                        </b>{' '}
                        {card.held}
                    </div>
                )}
                {step ? (
                    <StepWork
                        key={`${step.no}-${step.state}`}
                        card={card}
                        step={step}
                        may={mayWork}
                        onWrong={() => setRaising(true)}
                        onConflict={setConflict}
                    />
                ) : (
                    <Ended card={card} onSign={setSigning} />
                )}
                <Defers />
            </div>
            <Beside card={card} onRaise={() => setRaising(true)} />
            {raising && <Raise card={card} onClose={() => setRaising(false)} />}
            {signing && <Sign card={card} what={signing} onClose={() => setSigning(null)} />}
        </main>
    );
}

function Steps({ card, at, onChoose }: { card: CardData; at: number | null; onChoose: (no: number) => void }) {
    return (
        <aside className="border-r border-rule px-4 pt-4 pb-10">
            <p className="text-sm text-soft">
                <Link to={`/visits/${card.visitId}`} className="font-mono font-bold text-ink underline underline-offset-4">
                    {card.mark}
                </Link>{' '}
                · card {card.number} · {card.manual} rev. {card.revision}
            </p>
            <h2 className="mt-1 mb-3 text-[1.15rem] leading-snug font-semibold">{card.title}</h2>
            <ol>
                {card.steps.map((s) => (
                    <li key={s.no}>
                        <button
                            type="button"
                            data-step={s.no}
                            data-state={s.state}
                            aria-current={at === s.no ? 'step' : undefined}
                            onClick={() => onChoose(s.no)}
                            className={`grid min-h-12 w-full grid-cols-[1.3rem_1.6rem_1fr] items-center rounded-lg border px-2 text-left ${at === s.no ? 'border-ink bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'} ${s.state === 'done' ? 'text-soft' : ''}`}
                        >
                            {s.state === 'done' ? <DoneMark /> : <span />}
                            <span className="font-mono text-sm">{s.no}</span>
                            <span className="py-1 leading-tight">{s.title}</span>
                        </button>
                    </li>
                ))}
            </ol>
        </aside>
    );
}

/** A done step: a filled bar at the margin, so the column shows at a glance how far the card has come. */
function DoneMark() {
    return (
        <>
            <span className="h-7 w-1.5 rounded-full bg-spruce" aria-hidden="true" />
            <span className="sr-only">done</span>
        </>
    );
}

function Ended({ card, onSign }: { card: CardData; onSign: (what: 'sign' | 'inspect') => void }) {
    const openToSign = card.state === 'in_work' || card.state === 'open';
    return (
        <div className="mt-3">
            <h1 className="text-[1.6rem] leading-tight font-semibold" data-testid="sentence">
                {card.sentence}
            </h1>
            <dl className="mt-4 grid grid-cols-[10rem_1fr] gap-y-2">
                <dt className="text-soft">Signed</dt>
                <dd>{card.signedBy ?? 'not yet'}</dd>
                {card.critical && (
                    <>
                        <dt className="text-soft">Independent inspection</dt>
                        <dd>{card.inspectedBy ?? 'not yet'}</dd>
                    </>
                )}
            </dl>
            <div className="mt-6 flex gap-3">
                {openToSign && card.may.includes('work') && (
                    <Button kind="main" big onClick={() => onSign('sign')}>
                        Sign the card
                    </Button>
                )}
                {card.may.includes('inspect') && (
                    <Button kind="main" big onClick={() => onSign('inspect')}>
                        Inspect and sign
                    </Button>
                )}
                {card.state === 'closed' && (
                    <Link
                        to={`/release/${card.visitId}`}
                        className="inline-flex min-h-14 items-center rounded-lg border border-ink bg-sheet px-5 font-semibold"
                    >
                        To release
                    </Link>
                )}
            </div>
        </div>
    );
}

function Beside({ card, onRaise }: { card: CardData; onRaise: () => void }) {
    return (
        <aside className="border-l border-rule px-4 pt-4 pb-10 max-[1150px]:col-span-2 max-[1150px]:border-t max-[1150px]:border-l-0">
            <h2 className="font-semibold">Fitted on {card.mark} now</h2>
            {card.safing.length === 0 && <p className="mt-1 text-sm text-soft">No lock, pin, cap, collar or notice is in the register.</p>}
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
                                {d.removedBy !== null && `; off at step ${d.removedBy} of ${d.card}`}
                            </span>
                        </span>
                    </li>
                ))}
            </ul>
            <div className="mt-6 flex items-baseline justify-between">
                <h2 className="font-semibold">Findings on this card</h2>
            </div>
            {card.findings.length === 0 && <p className="mt-1 text-sm text-soft">None yet.</p>}
            <ul className="mt-1 divide-y divide-rule">
                {card.findings.map((f) => (
                    <li key={f.id} className="py-2" data-finding={f.number}>
                        <Glyph state={f.state === 'open' ? 'stop' : f.state === 'deferred' ? 'watch' : 'clear'} />{' '}
                        <b className="font-mono">{f.number}</b> {f.state}
                        <span className="block text-sm">{f.place}</span>
                        <span className="block text-sm text-soft">{f.extent}</span>
                    </li>
                ))}
            </ul>
            {card.may.includes('raise') && card.state !== 'closed' && (
                <Button className="mt-3 min-h-12 w-full" onClick={onRaise}>
                    Something is wrong
                </Button>
            )}
        </aside>
    );
}

function Sign({ card, what, onClose }: { card: CardData; what: 'sign' | 'inspect'; onClose: () => void }) {
    const [spent, setSpent] = useState(String(card.hours));
    const send = useSend(
        (body: { version: number; stamp: string; pin: string; spent?: number }, headers) =>
            take(
                what === 'sign'
                    ? api.POST('/api/cards/{id}/sign', { params: { path: { id: card.id } }, body, headers })
                    : api.POST('/api/cards/{id}/inspect', { params: { path: { id: card.id } }, body, headers }),
            ),
        onClose,
    );
    return (
        <Signature
            open
            title={what === 'sign' ? `Sign card ${card.number}` : `Inspect card ${card.number} independently`}
            says={
                what === 'sign'
                    ? `I carried out ${card.title} on ${card.mark} as ${card.manual} revision ${card.revision} requires; all ${card.steps.length} steps are done and the readings are as entered.`
                    : `I inspected ${card.title} on ${card.mark} and took no part in the work: assembly, torque, leaks, locking, and free and full movement.`
            }
            busy={send.isPending}
            error={send.error}
            onSign={(stamp, pin) =>
                send.mutate({ version: card.version, stamp, pin, ...(what === 'sign' ? { spent: Number(spent.replace(',', '.')) } : {}) })
            }
            onClose={onClose}
        >
            {what === 'sign' && (
                <Field
                    label="Hours that it took"
                    name="spent"
                    inputMode="decimal"
                    required
                    className="mb-3"
                    hint={`Planned: ${card.hours} h`}
                    value={spent}
                    onChange={(e) => setSpent(e.target.value)}
                />
            )}
        </Signature>
    );
}
