import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { typed } from '../../parts/fields';
import { Signature } from '../../parts/Signature';
import { Fixes } from './Fixes';
import { Tick } from './steps/Part';

type Body = {
    version: number;
    stamp: string;
    pin: string;
    spent?: number;
    covers?: string[];
    counted?: Record<string, number>;
};

/** Signs a card, with what went out on it counted in; or inspects it, with everything it covers looked at. */
export function Sign({
    card,
    what,
    onClose,
}: {
    card: Schemas['CardView'];
    what: 'sign' | 'inspect';
    onClose: () => void;
}) {
    const [spent, setSpent] = useState(String(card.clockedHours ?? card.hours));
    const [back, setBack] = useState<Record<number, string>>({});
    const [seen, setSeen] = useState<string[]>([]);
    const send = useSend(
        (body: Body, headers) =>
            take(
                what === 'sign'
                    ? api.POST('/api/cards/{id}/sign', { params: { path: { id: card.id } }, body, headers })
                    : api.POST('/api/cards/{id}/inspect', { params: { path: { id: card.id } }, body, headers }),
            ),
        onClose,
    );
    const counted = () =>
        Object.fromEntries(
            Object.entries(back)
                .filter(([, n]) => n !== '')
                .map(([id, n]) => [id, Number(n)]),
        );
    return (
        <Signature
            open
            title={what === 'sign' ? `Sign card ${card.number}` : `Inspect card ${card.number} independently`}
            says={
                what === 'sign'
                    ? (card.statement ?? '')
                    : `I inspected ${card.title} on ${card.mark} and took no part in the work: ${card.covers.join(', ')}.`
            }
            busy={send.isPending}
            error={send.error}
            ready={
                what === 'sign'
                    ? card.loans.every((l) => (back[l.id] ?? '') !== '')
                    : card.covers.every((c) => seen.includes(c))
            }
            onSign={(stamp, pin) =>
                send.mutate({
                    version: card.version,
                    stamp,
                    pin,
                    ...(what === 'sign' ? { spent: typed(spent), counted: counted() } : { covers: seen }),
                })
            }
            onClose={onClose}
        >
            {what === 'sign' && (
                <Field
                    label="Hours spent"
                    name="spent"
                    inputMode="decimal"
                    required
                    className="mb-3"
                    hint={`Planned: ${card.hours} h${card.clockedHours === null ? '' : `; at the card: ${card.clockedHours} h`}`}
                    value={spent}
                    onChange={(e) => setSpent(e.target.value)}
                />
            )}
            {what === 'sign' && card.loans.length > 0 && (
                <fieldset className="mb-3">
                    <legend className="mb-1 font-semibold">Counted back in</legend>
                    <p className="mb-2 text-sm text-soft">
                        Everything that went out comes back before the card is signed.
                    </p>
                    {card.loans
                        .filter((l) => l.quantity === 1)
                        .map((l) => (
                            <div key={l.id} className="mb-2">
                                <Tick
                                    label={`${l.what} is back`}
                                    checked={back[l.id] === '1'}
                                    onChange={(on) => setBack((b) => ({ ...b, [l.id]: on ? '1' : '' }))}
                                />
                            </div>
                        ))}
                    {card.loans
                        .filter((l) => l.quantity > 1)
                        .map((l) => (
                            <label
                                key={l.id}
                                className="flex min-h-12 items-center justify-between gap-3 border-t border-rule/60"
                            >
                                <span>
                                    <b>{l.what}</b> ({l.quantity}){' '}
                                    <span className="text-sm text-soft">since {l.since}</span>
                                </span>
                                <input
                                    inputMode="numeric"
                                    aria-label={`How many of ${l.what} came back`}
                                    placeholder="?"
                                    value={back[l.id] ?? ''}
                                    onChange={(e) => setBack((b) => ({ ...b, [l.id]: e.target.value }))}
                                    className="h-11 w-20 rounded-lg border-2 border-soft bg-sheet px-3 text-right font-mono"
                                />
                            </label>
                        ))}
                </fieldset>
            )}
            {what === 'inspect' && <Fixes card={card} />}
            {what === 'inspect' && (
                <div className="mb-4 grid gap-2">
                    {card.covers.map((c) => (
                        <Tick
                            key={c}
                            label={c}
                            checked={seen.includes(c)}
                            onChange={(on) => setSeen((s) => (on ? [...s, c] : s.filter((x) => x !== c)))}
                        />
                    ))}
                </div>
            )}
        </Signature>
    );
}
