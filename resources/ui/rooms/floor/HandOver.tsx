import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useRef, useState } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { useMe, useSend } from '../../api/hooks';
import { keys, readAnew, touches } from '../../api/keys';
import { entered, queue, versionAfter } from '../../api/queue';
import { sendHandOver, useWaiting } from '../../api/useQueue';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { useClear } from './useClear';

type Card = Schemas['CardView'];

/** What the one before left: the card's state in words, and what they say of it. */
export function Given({ card }: { card: Card }) {
    const take1 = useSend((_: null, headers) =>
        take(api.POST('/api/cards/{id}/take-over', { params: { path: { id: card.id } }, headers })),
    );
    const left = card.handover;
    if (left === null || card.state === 'closed' || card.state === 'signed') {
        return null;
    }
    return (
        <section
            className="mt-3 rounded-lg border-2 border-slate bg-sheet p-3"
            aria-label="Handed over"
            data-testid="given"
        >
            <p className="text-soft">
                Handed over by {left.by}, {left.at}
                {left.takenBy ? `; taken over by ${left.takenBy}` : ''}
            </p>
            <p className="mt-1 text-[1.1rem] font-semibold">{left.said}</p>
            <p className="mt-1">{left.state}</p>
            {!left.takenBy && card.may.includes('work') && (
                <Button className="mt-2 min-h-12" disabled={take1.isPending} onClick={() => take1.mutate(null)}>
                    {left.mine ? 'I take it back' : 'I have read this, and take it over'}
                </Button>
            )}
            <Trouble error={take1.error} />
        </section>
    );
}

/** Leaving a card: handed over, or only called clear of it. */
export function Handing({ card, onHand }: { card: Card; onHand: () => void }) {
    const me = card.there.find((p) => p.me);
    const given = useWaiting().find((w) => w.card === card.id && w.what === 'handover');
    const clear = useClear();
    const come = useSend(
        (_: null, headers) => take(api.POST('/api/cards/{id}/here', { params: { path: { id: card.id } }, headers })),
        undefined,
        { affects: touches.presence },
    );
    return (
        <div className="noprint flex flex-wrap gap-2 border-t border-rule pt-3">
            {!card.may.includes('hand') || card.state === 'signed' || card.state === 'closed' ? null : given ? (
                <p className="w-full rounded-lg border-2 border-dashed border-slate p-3 text-sm">
                    <State state="waiting" word="Handed over" /> on this device, and told when the connection is back:{' '}
                    {entered(given)}
                </p>
            ) : (
                <Button className="min-h-12 flex-1 whitespace-nowrap px-1!" onClick={onHand}>
                    Hand over
                </Button>
            )}
            {!me && card.may.includes('raise') && card.state !== 'closed' && (
                <Button
                    className="min-h-12 flex-1 whitespace-nowrap px-1!"
                    disabled={come.isPending}
                    onClick={() => come.mutate(null)}
                >
                    I am here
                </Button>
            )}
            {me && (
                <Button
                    className="min-h-12 flex-1 whitespace-nowrap px-1!"
                    disabled={clear.isPending}
                    onClick={() => clear.mutate({ card: card.id, person: me.personId })}
                >
                    I am clear
                </Button>
            )}
            <Trouble error={clear.error ?? come.error} />
        </div>
    );
}

/** Hands a half-done card over: Jorvel says where it stands, whoever leaves says the rest. */
export function HandOver({ card, onClose }: { card: Card; onClose: () => void }) {
    const [said, setSaid] = useState('');
    const client = useQueryClient();
    const me = useMe().data;
    const waiting = useWaiting();
    const key = useRef(crypto.randomUUID());
    const send = useMutation<Schemas['CardView'] | null, Failure, string>({
        mutationFn: async (words) => {
            const body = { version: versionAfter(waiting, card.id, card.version), said: words };
            const save = () => {
                queue?.add(key.current, me?.id ?? 0, card, card.title, { what: 'handover', body });
                return null;
            };
            // Behind what waits already, so that the order stays as it was worked.
            if (waiting.some((w) => w.card === card.id)) {
                return save();
            }
            try {
                return await sendHandOver(card.id, body, key.current);
            } catch (e) {
                if (e instanceof Failure && e.status === 0) {
                    return save();
                }
                throw e;
            }
        },
        onSuccess: (out) => {
            if (out !== null) {
                client.setQueryData(keys.card(card.id), out);
                readAnew(client);
            }
            onClose();
        },
        onError: () => void client.invalidateQueries({ queryKey: keys.cards }),
    });
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate(said);
    };
    return (
        <Dialog open onClose={onClose} title={`Hand over ${card.number} ${card.title}`}>
            <form onSubmit={submit}>
                <p className="rounded-lg bg-sheet p-3">{card.stateNow}</p>
                <label className="mt-4 block">
                    <span className="mb-1 block font-semibold">What must the next one know?</span>
                    <textarea
                        name="said"
                        autoFocus
                        rows={4}
                        value={said}
                        onChange={(e) => setSaid(e.target.value)}
                        placeholder="What is half done, what is unsafe to touch, what was asked of whom"
                        className="w-full rounded-lg border-2 border-soft bg-sheet p-3"
                    />
                </label>
                <Trouble error={send.error} />
                <div className="mt-4 flex gap-3">
                    <Button kind="main" big type="submit" disabled={send.isPending || said.trim() === ''}>
                        Hand over
                    </Button>
                    <Button big onClick={onClose}>
                        Not now
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
