import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { api, type Failure, take } from './client';
import { answered, nextToSend, queue, type Waiting } from './queue';

const none: Waiting[] = [];

/** What waits on this device. */
export const useWaiting = (): Waiting[] =>
    useSyncExternalStore(
        (f) => queue?.listen(f) ?? (() => undefined),
        () => queue?.all() ?? none,
        () => none,
    );

export const sendStep = (w: Pick<Waiting, 'card' | 'no' | 'body' | 'key'>) =>
    take(
        api.POST('/api/cards/{id}/steps/{no}', {
            params: { path: { id: w.card, no: w.no } },
            body: w.body,
            headers: { 'Idempotency-Key': w.key },
        }),
    );

let busy = false;

/** Sends what waits as soon as there is a connection, one after the other. */
export function useSendWaiting(who: number | undefined): void {
    const client = useQueryClient();
    const waiting = useWaiting();
    const some = waiting.some((w) => w.who === who && w.refused === null);
    useEffect(() => {
        if (who === undefined || !some) {
            return;
        }
        const flush = async () => {
            if (busy || queue === null) {
                return;
            }
            busy = true;
            try {
                for (let w = nextToSend(queue.all(), who); w !== undefined; w = nextToSend(queue.all(), who)) {
                    try {
                        const card = await sendStep(w);
                        queue.set(answered(queue.all(), w.key, 'sent'));
                        client.setQueryData(['cards', w.card], card);
                    } catch (e) {
                        const f = e as Failure;
                        if (f.status === 0 || f.status >= 500 || f.status === 401 || f.status === 419) {
                            return;
                        }
                        queue.set(answered(queue.all(), w.key, { refused: f.message }));
                        void client.invalidateQueries({ queryKey: ['cards', w.card] });
                    }
                }
                void client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'me' });
            } finally {
                busy = false;
            }
        };
        void flush();
        const timer = setInterval(() => void flush(), 4000);
        window.addEventListener('online', flush);
        return () => {
            clearInterval(timer);
            window.removeEventListener('online', flush);
        };
    }, [who, some, client]);
}
