import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { Causes } from './Causes';

type Card = Schemas['CardView'];

/** The text of the card was written anew since it was made, and nobody has begun it. */
export function Newer({ card }: { card: Card }) {
    const send = useSend((version: number, headers) =>
        take(api.POST('/api/cards/{id}/renew', { params: { path: { id: card.id } }, body: { version }, headers })),
    );
    return card.newer === null ? null : (
        <section
            className="mt-3 rounded-lg border-2 border-ochre bg-ochre-wash px-4 py-2"
            role="status"
            data-testid="newer"
        >
            <p className="flex items-center justify-between gap-3">
                <span>
                    <State state="watch" word={`Version ${card.newer} is in force`} />: this card was made from an older
                    text, and is not begun.
                </span>
                {card.may.includes('raise') && (
                    <Button
                        className="min-h-12 shrink-0"
                        disabled={send.isPending}
                        onClick={() => send.mutate(card.version)}
                    >
                        Take the new text
                    </Button>
                )}
            </p>
            <Trouble error={send.error} />
        </section>
    );
}

/** A card on the line is taken by whoever fits; there is no plan that gives it to somebody. */
export function TakeIt({ card }: { card: Card }) {
    const send = useSend((_: null, headers) =>
        take(api.POST('/api/cards/{id}/take', { params: { path: { id: card.id } }, headers })),
    );
    return (
        <section className="mt-3 rounded-lg border-2 border-rule bg-sheet px-4 py-2" data-testid="take">
            <p className="flex items-center justify-between gap-3">
                <span>You are not on this card.</span>
                <Button
                    kind="main"
                    className="min-h-12 shrink-0"
                    disabled={send.isPending}
                    onClick={() => send.mutate(null)}
                >
                    Take this card
                </Button>
            </p>
            <Trouble error={send.error} />
        </section>
    );
}

/** What this card itself runs, or left under power or pressure: whoever reads the card reads this first. */
export function Live({ card }: { card: Card }) {
    return card.live.length === 0 ? null : (
        <section
            className="mt-3 rounded-lg border-2 border-rust bg-rust-wash px-4 py-2"
            role="status"
            data-testid="live"
        >
            {card.live.map((h) => (
                <p key={h.said}>
                    <State state="stop" word="Live" />: {h.said}.
                </p>
            ))}
        </section>
    );
}

/** What is moving or under pressure just now where this card's work would be. */
export function Underway({ card }: { card: Card }) {
    if (card.underway.length === 0) {
        return null;
    }
    return (
        <section
            className="mt-3 mb-4 rounded-lg border-2 border-rust bg-rust-wash p-4"
            role="alert"
            data-testid="underway"
        >
            <p className="text-[1.1rem] font-semibold">
                <State state="stop" word="Stay away" /> from it until this has ended. Nothing overrides it.
            </p>
            <Causes causes={card.underway} />
        </section>
    );
}

const waitsFor = (kind: string): string => `Waits for ${kind === 'help' ? 'help' : `the ${kind}`}`;

/** What the card waits for, since when, and the way on. */
export function Waits({ card }: { card: Card }) {
    const send = useSend((wait: number, headers) =>
        take(
            api.POST('/api/cards/{id}/waits/{wait}/end', {
                params: { path: { id: card.id, wait } },
                headers,
            }),
        ),
    );
    return card.waits.length === 0 ? null : (
        <section
            className="mt-3 rounded-lg border-2 border-dashed border-slate px-4 py-2"
            role="status"
            data-testid="waits"
        >
            {card.waits.map((w) => (
                <p key={w.id} className="flex items-center justify-between gap-3 py-1">
                    <span>
                        <State state="waiting" word={waitsFor(w.kind)} />:{w.what}.{' '}
                        <span className="text-sm text-soft">
                            {w.step !== null && `Step ${w.step}; `}
                            since {w.since}, {w.by}
                        </span>
                    </span>
                    {card.may.includes('raise') && (
                        <Button
                            className="min-h-12 shrink-0"
                            disabled={send.isPending}
                            onClick={() => send.mutate(w.id)}
                        >
                            It is there
                        </Button>
                    )}
                </p>
            ))}
            <Trouble error={send.error} />
        </section>
    );
}

/** What went wrong at this card's work once: read before the first step, and once only. */
export function Lessons({ card }: { card: Card }) {
    const send = useSend((_: null, headers) =>
        take(api.POST('/api/cards/{id}/lessons/read', { params: { path: { id: card.id } }, headers })),
    );
    return card.lessons.length === 0 ? null : (
        <section className="mt-3 rounded-lg border-2 border-ochre bg-ochre-wash px-4 py-3" data-testid="lessons">
            <p className="text-[1.1rem] font-semibold">
                <State state="watch" word="Read first" />: what went wrong here once
            </p>
            <ul className="mt-1 list-disc space-y-1 pl-5">
                {card.lessons.map((l) => (
                    <li key={l.id}>
                        {l.text} <span className="text-sm text-soft">{l.by}</span>
                    </li>
                ))}
            </ul>
            {card.may.includes('raise') && (
                <Button className="mt-2 min-h-12" disabled={send.isPending} onClick={() => send.mutate(null)}>
                    I have read it
                </Button>
            )}
            <Trouble error={send.error} />
        </section>
    );
}
