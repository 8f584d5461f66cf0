import { Link } from 'react-router';
import { Button } from '../../parts/Button';
import { State } from '../../parts/State';
import type { CardData } from './Card';

export function Ended({ card, onSign }: { card: CardData; onSign: (what: 'sign' | 'inspect') => void }) {
    const openToSign = card.state === 'in_work' || card.state === 'open';
    return (
        <div className="mt-3">
            <h1 className="text-[1.6rem] leading-tight font-semibold" data-testid="sentence">
                {card.sentence}
            </h1>
            <dl className="mt-4 grid grid-cols-[10rem_1fr] gap-y-2">
                <dt className="text-soft">Signed</dt>
                <dd>{card.signedBy ?? 'not yet'}</dd>
                {card.independentInspection && (
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
