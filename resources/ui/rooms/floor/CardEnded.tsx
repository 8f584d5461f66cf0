import { Button, ButtonLink } from '../../parts/Button';
import { State } from '../../parts/State';
import type { CardData } from './Card';
import { LineGood } from './LineGood';

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
                {card.state === 'closed' && !card.line && (
                    <ButtonLink to={`/release/${card.visitId}`} className="min-h-14! px-5!">
                        To release
                    </ButtonLink>
                )}
            </div>
            {card.line && card.state === 'closed' && <LineGood card={card} />}
        </div>
    );
}
