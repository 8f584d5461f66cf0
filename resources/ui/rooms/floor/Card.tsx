import { useEffect, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCard } from '../../api/hooks';
import { useWaiting } from '../../api/useQueue';
import { Button } from '../../parts/Button';
import { Defers, Wait } from '../../parts/Page';
import { Glyph, State } from '../../parts/State';
import { Beside } from './Beside';
import { Causes } from './Causes';
import { Given, Handing, HandOver } from './HandOver';
import { Raise } from './Raise';
import { Sign } from './Sign';
import { StepWork } from './StepWork';

type CardData = Schemas['CardView'];

/** One card: the steps on the left, the one in hand in the middle, what is fitted and found on the right. */
export function Card() {
    return <Wait query={useCard(Number(useParams().id))}>{(card) => <CardOf key={card.id} card={card} />}</Wait>;
}

function CardOf({ card }: { card: CardData }) {
    const [query, setQuery] = useSearchParams();
    const asked = Number(query.get('step')) || null;
    const [chosen, setChosen] = useState<number | null>(asked);
    const [handing, setHanding] = useState(false);
    const waiting = useWaiting().filter((w) => w.card === card.id);
    const [conflict, setConflict] = useState<string | null>(null);
    const [raising, setRaising] = useState(false);
    const [signing, setSigning] = useState<'sign' | 'inspect' | null>(null);
    // What was chosen stays until the card moves on; then the next open step comes up by itself.
    const here = waiting.flatMap((w) => (w.refused === null && w.what === 'step' ? [w.no] : []));
    const next = card.steps.find((s) => s.state !== 'done' && !here.includes(s.no))?.no ?? null;
    const [shown, setShown] = useState(next);
    if (shown !== next) {
        setShown(next);
        // After a conflict the step stays, with what was entered still in its field.
        if (conflict === null) {
            setChosen(null);
        }
    }
    useEffect(() => {
        if (asked !== null) {
            setChosen(asked);
            setQuery({}, { replace: true });
        }
    }, [asked, setQuery]);
    const step = card.steps.find((s) => s.no === (chosen ?? next));
    // A step chosen out of its turn, and done now, gives way to the next one.
    const stands = `${step?.no ?? 0} ${step?.state ?? ''}`;
    const [before, setBefore] = useState(stands);
    if (before !== stands) {
        setBefore(stands);
        if (before === `${step?.no} open` && step?.state === 'done') {
            setChosen(null);
        }
    }
    const mayWork =
        card.may.includes('work') &&
        card.held === null &&
        (card.handover === null || card.handover.takenBy !== null) &&
        card.underway.length === 0 &&
        (card.state === 'open' || card.state === 'in_work');
    return (
        <main className="grid min-w-0 flex-1 grid-cols-[17.5rem_minmax(0,1fr)_17rem] max-[1150px]:grid-cols-[15rem_minmax(0,1fr)]">
            <Steps card={card} at={step?.no ?? null} here={here} onChoose={setChosen} onHand={() => setHanding(true)} />
            <div className="min-w-0 px-7 pt-4 pb-12">
                <p className="flex justify-between gap-4 text-soft">
                    <span>{step ? `Step ${step.no} of ${card.steps.length}` : `${card.steps.length} steps`}</span>
                    <span className="truncate">{card.people.length > 0 ? card.people.join(', ') : 'nobody is assigned'}</span>
                </p>
                {card.workWhy && (
                    <p className="mt-3 rounded-lg border-2 border-rust bg-rust-wash px-3 py-2" role="alert" data-testid="work-why">
                        <State state="stop" word="Not you, today" />: you cannot work this card. {card.workWhy}
                    </p>
                )}
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
                            <Glyph state="stop" /> Held:
                        </b>{' '}
                        {card.held}
                        {card.revision !== card.revisionNow && (
                            <Link
                                to={`/library/manuals/${card.manual}`}
                                className="mt-2 flex min-h-12 w-fit items-center rounded-lg border border-ink bg-sheet px-4 font-semibold"
                            >
                                Read it again: old beside new
                            </Link>
                        )}
                    </div>
                )}
                <Live card={card} />
                <Underway card={card} />
                <Given card={card} />
                {step ? (
                    <StepWork
                        key={`${step.no}-${step.state}-${here.includes(step.no)}`}
                        card={card}
                        step={step}
                        may={mayWork}
                        onWrong={() => setRaising(true)}
                        onConflict={(said) => {
                            setChosen(step.no);
                            setConflict(said);
                        }}
                    />
                ) : (
                    <Ended card={card} onSign={setSigning} />
                )}
                <Defers />
            </div>
            <Beside card={card} onRaise={() => setRaising(true)} />
            {raising && <Raise card={card} step={step?.no ?? null} onClose={() => setRaising(false)} />}
            {signing && <Sign card={card} what={signing} onClose={() => setSigning(null)} />}
            {handing && <HandOver card={card} onClose={() => setHanding(false)} />}
        </main>
    );
}

/** What this card itself runs, or left under power or pressure: whoever reads the card reads this first. */
function Live({ card }: { card: CardData }) {
    return card.live.length === 0 ? null : (
        <section className="mt-3 rounded-lg border-2 border-rust bg-rust-wash px-4 py-2" role="status" data-testid="live">
            {card.live.map((h) => (
                <p key={h.said}>
                    <State state="stop" word="Live" />: {h.said}.
                </p>
            ))}
        </section>
    );
}

/** What is moving or under pressure just now where this card's work would be. */
function Underway({ card }: { card: CardData }) {
    if (card.underway.length === 0) {
        return null;
    }
    return (
        <section className="mt-3 mb-4 rounded-lg border-2 border-rust bg-rust-wash p-4" role="alert" data-testid="underway">
            <p className="text-[1.1rem] font-semibold">
                <State state="stop" word="Stay away" /> from it until this has ended. Nothing overrides it.
            </p>
            <Causes causes={card.underway} />
        </section>
    );
}

function Steps({
    card,
    at,
    here,
    onChoose,
    onHand,
}: {
    card: CardData;
    at: number | null;
    here: number[];
    onChoose: (no: number) => void;
    onHand: () => void;
}) {
    const list = useRef<HTMLOListElement>(null);
    // The step in hand stays in sight, however long the card is.
    useEffect(() => {
        list.current?.querySelector(`[data-step="${at}"]`)?.scrollIntoView({ block: 'nearest' });
    }, [at]);
    return (
        <aside className="sticky top-0 flex h-[calc(100vh-2.75rem)] flex-col self-start border-r border-rule px-4 pt-4 pb-3 print:static print:h-auto">
            <p className="text-sm text-soft">
                <Link to={`/visits/${card.visitId}`} className="font-mono font-bold text-ink underline underline-offset-4">
                    {card.mark}
                </Link>{' '}
                {card.effectivity} · card {card.number} ·{' '}
                <Link to={`/library/manuals/${card.manual}`} className="whitespace-nowrap underline underline-offset-4">
                    {card.manual}
                </Link>{' '}
                {card.section} rev. {card.revision}
                {card.method && <span className="block">method: {card.method}</span>}
            </p>
            <h2 className="mt-1 mb-3 text-[1.15rem] leading-snug font-semibold">{card.title}</h2>
            <ol ref={list} className="min-h-0 flex-1 overflow-y-auto print:overflow-visible">
                {card.steps.map((s, i) => {
                    const group = s.spec.group as string | undefined;
                    const first = group !== undefined && card.steps[i - 1]?.spec.group !== group;
                    return (
                        <li key={s.no} className={group ? 'border-l-2 border-slate pl-1' : ''}>
                            {first && <span className="block pl-2 text-xs text-soft">in any order:</span>}
                            <button
                                type="button"
                                data-step={s.no}
                                data-state={here.includes(s.no) ? 'waiting' : s.state}
                                aria-current={at === s.no ? 'step' : undefined}
                                onClick={() => onChoose(s.no)}
                                className={`grid min-h-12 w-full grid-cols-[1.3rem_1.6rem_1fr] items-center rounded-lg border px-2 text-left ${at === s.no ? 'border-ink bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'} ${s.state === 'done' ? 'text-soft' : ''}`}
                            >
                                <Margin step={s} waits={here.includes(s.no)} />
                                <span className="font-mono text-sm">{s.no}</span>
                                <span className="py-1 leading-tight">{s.title}</span>
                            </button>
                        </li>
                    );
                })}
            </ol>
            <Handing card={card} onHand={onHand} />
        </aside>
    );
}

/** How a step stands, at the margin. */
function Margin({ step, waits }: { step: Schemas['StepView']; waits: boolean }) {
    if (waits) {
        return (
            <span>
                <Glyph state="waiting" size={14} />
                <span className="sr-only">waiting to be sent</span>
            </span>
        );
    }
    if (step.state === 'done') {
        return <DoneMark />;
    }
    if (step.holds.length > 0) {
        return (
            <span>
                <Glyph state="stop" size={14} />
                <span className="sr-only">held</span>
            </span>
        );
    }
    return <span />;
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
                {card.state === 'signed' && card.inspectWhy && (
                    <p className="self-center text-soft">
                        <State state="waiting" word="Not you" />: you cannot inspect this. {card.inspectWhy}
                    </p>
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
