import { useEffect, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCard } from '../../api/hooks';
import { useWaiting } from '../../api/useQueue';
import { Button, ButtonLink } from '../../parts/Button';
import { Defers, Wait } from '../../parts/Page';
import { Glyph, State } from '../../parts/State';
import { BeginVisit } from './BeginVisit';
import { Beside } from './Beside';
import { Ended } from './CardEnded';
import { Lessons, Live, Newer, TakeIt, Underway, Waits } from './CardNotices';
import { Steps } from './CardSteps';
import { Given, HandOver } from './HandOver';
import { Raise } from './Raise';
import { Sign } from './Sign';
import { StepWork } from './StepWork';
import type { Point } from './useStep';

export type CardData = Schemas['CardView'];

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
    const [raising, setRaising] = useState<'card' | Point | null>(null);
    const [signing, setSigning] = useState<'sign' | 'inspect' | null>(null);
    // What was chosen stays until the card moves on; then the next open step comes up by itself.
    const here = waiting.flatMap((w) => (w.refused === null && w.what === 'step' ? [w.no] : []));
    const next = card.steps.find((s) => s.state === 'open' && !here.includes(s.no))?.no ?? null;
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
        if (before === `${step?.no} open` && step?.state !== 'open') {
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
                    <span className="truncate">
                        {card.people.length > 0 ? card.people.join(', ') : 'nobody is assigned'}
                    </span>
                </p>
                {card.workWhy && (
                    <p
                        className="mt-3 rounded-lg border-2 border-rust bg-rust-wash px-3 py-2"
                        role="alert"
                        data-testid="work-why"
                    >
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
                            <ButtonLink to={`/library/manuals/${card.manual}`} className="mt-2">
                                Read it again: old beside new
                            </ButtonLink>
                        )}
                        {card.may.includes('begin') && <BeginVisit card={card} />}
                    </div>
                )}
                {card.may.includes('take') && <TakeIt card={card} />}
                <Newer card={card} />
                <Lessons card={card} />
                <Waits card={card} />
                <Live card={card} />
                <Underway card={card} />
                <Given card={card} />
                {step ? (
                    <StepWork
                        key={`${step.no}-${step.state}-${here.includes(step.no)}`}
                        card={card}
                        step={step}
                        may={mayWork}
                        onWrong={() => setRaising('card')}
                        onWrongAt={setRaising}
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
            <Beside card={card} onRaise={() => setRaising('card')} />
            {raising && (
                <Raise
                    card={card}
                    step={step?.no ?? null}
                    point={raising === 'card' ? undefined : raising}
                    onClose={() => setRaising(null)}
                />
            )}
            {signing && <Sign card={card} what={signing} onClose={() => setSigning(null)} />}
            {handing && <HandOver card={card} onClose={() => setHanding(false)} />}
        </main>
    );
}
