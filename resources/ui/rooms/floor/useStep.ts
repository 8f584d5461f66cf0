import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useLayoutEffect } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { useMe } from '../../api/hooks';
import { askWho, keys, readAnew } from '../../api/keys';
import { type Body, mayWait, queue, versionAfter } from '../../api/queue';
import { sendPoint, sendStep, useWaiting } from '../../api/useQueue';

/** One point of a round, at which something may be wrong. */
export type Point = { id: string; place: string };

export type StepProps = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    may: boolean;
    onWrong: () => void;
    onWrongAt?: (point: Point) => void;
    onConflict: (said: string) => void;
};

/** The round with some of its points as they stand now. */
const withPoints = (round: Schemas['StepView'], points: Schemas['PointView'][]): Schemas['StepView'] => ({
    ...round,
    points: round.points.map((p) => points.find((n) => n.id === p.id) ?? p),
});

const isPoint = (answer: { do: Body['do'] }): boolean => answer.do === 'point' || answer.do === 'point_back';

/**
 * Sends an answer to a step; the card that comes back is shown as it is. Without a connection, what may wait is kept on this
 * device under the key it was first sent with, so that it is worked once.
 */
export function useStep({ card, step, onConflict }: Pick<StepProps, 'card' | 'step' | 'onConflict'>) {
    const client = useQueryClient();
    const me = useMe().data;
    const waiting = useWaiting();
    const mutationKey = ['step', card.id];
    const send = useMutation<Schemas['CardView'] | null, Failure, Omit<Body, 'version'>>({
        mutationKey,
        mutationFn: async (answer) => {
            const body = { ...answer, version: versionAfter(waiting, card.id, card.version) };
            const key = crypto.randomUUID();
            const save = () => {
                queue?.add(key, me?.id ?? 0, card, step.title, { what: 'step', no: step.no, body });
                return null;
            };
            // Behind what waits already, so that the order stays as it was worked.
            if (waiting.some((w) => w.card === card.id)) {
                if (!mayWait(step, answer.do)) {
                    throw new Failure(
                        0,
                        'This step needs the connection: what waits on this device is sent first. Nothing was confirmed.',
                    );
                }
                return save();
            }
            try {
                if (isPoint(answer)) {
                    const { version, no, points } = await sendPoint({ card: card.id, no: step.no, body, key });
                    const now = client.getQueryData<Schemas['CardView']>(keys.card(card.id)) ?? card;
                    return { ...now, version, steps: now.steps.map((s) => (s.no === no ? withPoints(s, points) : s)) };
                }
                return await sendStep({ card: card.id, no: step.no, body, key });
            } catch (e) {
                if (e instanceof Failure && e.saved) {
                    return await take(api.GET('/api/cards/{id}', { params: { path: { id: card.id } } }));
                }
                if (e instanceof Failure && e.status === 0) {
                    if (mayWait(step, answer.do)) {
                        return save();
                    }
                    throw new Failure(
                        0,
                        step.kind === 'safing_fit'
                            ? 'No connection. Before this device stands in the register it holds nobody else: tell them, and confirm it when the connection is back. Nothing was confirmed.'
                            : 'No connection, and this step needs it. What you entered is still here; nothing was confirmed.',
                    );
                }
                throw e;
            }
        },
        onSuccess: (out, answer) => {
            if (out !== null) {
                client.setQueryData(keys.card(card.id), out);
                // A point of a round concerns nobody else.
                readAnew(client, isPoint(answer) ? [] : 'everything', keys.card(card.id));
            }
        },
        onError: (error, body) => {
            if (error.status === 409) {
                const kept = [body.entry, ...Object.values(body.entries ?? {})].filter((v) => v);
                onConflict(
                    `${error.message}${kept.length > 0 ? ` Your entry for step ${step.no}, not yet sent: ${kept.join(', ')}.` : ''}`,
                );
                void client.invalidateQueries({ queryKey: keys.cards });
            }
            if (error.status === 401) {
                askWho(client);
            }
        },
    });
    // A key that bounces sends once, also before the button has had time to go grey.
    const mutate: typeof send.mutate = (...answer) => {
        // A card that is only looked at while it is written has no number yet, and is worked by nobody.
        if (card.id !== 0 && client.isMutating({ mutationKey }) === 0) {
            send.mutate(...answer);
        }
    };
    return { ...send, mutate };
}

/** Enter confirms, unless something is being typed; held down it confirms once. */
export function useEnter(run: () => void, on: boolean) {
    // Laid with the page, so that a key that comes with the button's going green is not lost.
    useLayoutEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            const t = e.target;
            if (
                on &&
                !e.repeat &&
                e.key === 'Enter' &&
                !(t instanceof HTMLElement && t.closest('input, textarea, select, button, a, [role=dialog]'))
            ) {
                e.preventDefault();
                run();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
}
