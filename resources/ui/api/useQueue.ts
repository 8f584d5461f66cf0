import { useQueryClient } from '@tanstack/react-query';
import { del, get } from 'idb-keyval';
import { useEffect, useSyncExternalStore } from 'react';
import { api, Failure, type Schemas, take } from './client';
import { useMe, useSend } from './hooks';
import { keys, readAnew } from './keys';
import {
    answered,
    type DamageBody,
    type FindingBody,
    type HandOverBody,
    type LookBody,
    type New,
    nextToSend,
    queue,
    type Waiting,
    type WaitingFinding,
    type WaitingLook,
    type WaitingStep,
} from './queue';

const none: Waiting[] = [];

/** What waits on this device. */
export const useWaiting = (): Waiting[] =>
    useSyncExternalStore(
        (f) => queue?.listen(f) ?? (() => undefined),
        () => queue?.all() ?? none,
        () => none,
    );

export const sendStep = (w: Pick<WaitingStep, 'card' | 'no' | 'body' | 'key'>) =>
    take(
        api.POST('/api/cards/{id}/steps/{no}', {
            params: { path: { id: w.card, no: w.no } },
            body: w.body,
            headers: { 'Idempotency-Key': w.key },
        }),
    );

/** A point of a round: only the round comes back, not the whole card. */
export const sendPoint = (w: Pick<WaitingStep, 'card' | 'no' | 'body' | 'key'>) =>
    take(
        api.POST('/api/cards/{id}/steps/{no}/points', {
            params: { path: { id: w.card, no: w.no } },
            body: {
                do: w.body.do === 'point_back' ? 'point_back' : 'point',
                entries: w.body.entries ?? {},
                tool: w.body.tool,
                note: w.body.note,
            },
            headers: { 'Idempotency-Key': w.key },
        }),
    );

export const sendFinding = (card: number, body: FindingBody, key: string) =>
    take(
        api.POST('/api/cards/{id}/findings', {
            params: { path: { id: card } },
            body,
            headers: { 'Idempotency-Key': key },
        }),
    );

export const sendHandOver = (card: number, body: HandOverBody, key: string) =>
    take(
        api.POST('/api/cards/{id}/hand-over', {
            params: { path: { id: card } },
            body,
            headers: { 'Idempotency-Key': key },
        }),
    );

export async function sendPhoto(finding: number, file: Blob): Promise<void> {
    const form = new FormData();
    form.append('photo', file);
    await take(
        api.POST('/api/findings/{id}/photos', {
            params: { path: { id: finding } },
            body: form as unknown as { photo: string },
            bodySerializer: (b) => b as unknown as FormData,
        }),
    );
}

/** The finding first; then its photo, which the server keeps once however often it comes. */
async function sendWithPhoto(w: WaitingFinding): Promise<Schemas['CardView']> {
    const card = await sendFinding(w.card, w.body, w.key);
    const photo = w.photo ? await get<Blob>(w.key) : undefined;
    const made = card.findings.at(-1);
    if (photo && made) {
        await sendPhoto(made.id, photo);
        await del(w.key);
    }
    return card;
}

const sendDamage = (card: number, body: DamageBody, key: string) =>
    take(
        api.POST('/api/cards/{id}/damages', {
            params: { path: { id: card } },
            body,
            headers: { 'Idempotency-Key': key },
        }),
    );

/** A damage looked at again from a card, or from none; without a body it is as it was. */
const sendLook = ({
    damage: id,
    card,
    body,
    key,
}: Pick<WaitingLook, 'damage' | 'body' | 'key'> & { card: number | null }) => {
    const params = { path: { id } };
    const headers = { 'Idempotency-Key': key };
    return take(
        body === null && card !== null
            ? api.POST('/api/damages/{id}/same', { params, body: { card }, headers })
            : api.POST('/api/damages/{id}/looks', { params, body: body as LookBody, headers }),
    );
};

/** @returns the card as it is then, where it is one that comes back */
async function send(w: Waiting): Promise<Schemas['CardView'] | null> {
    switch (w.what) {
        case 'step':
            return sendStep(w);
        case 'finding':
            return sendWithPhoto(w);
        case 'handover':
            return sendHandOver(w.card, w.body, w.key);
        case 'damage':
            await sendDamage(w.card, w.body, w.key);
            return null;
        case 'look':
            await sendLook(w);
            return null;
    }
}

/**
 * Something at a card, sent at once, or kept on this device while there is no connection: under the key it was first
 * sent with, so that it is carried out once.
 *
 * @param card at which it is entered; without one it is not kept
 */
function useSendOrKeep<I>(
    card: number | null,
    one: (input: I) => New<Waiting>,
    title: string,
    send: (input: I, key: string) => Promise<unknown>,
    done?: () => void,
) {
    const client = useQueryClient();
    const me = useMe().data;
    return useSend(async (input: I, headers) => {
        const key = headers['Idempotency-Key'] ?? '';
        try {
            await send(input, key);
        } catch (e) {
            if (card === null || !(e instanceof Failure) || e.status !== 0) {
                throw e;
            }
            const number = client.getQueryData<Schemas['CardView']>(keys.card(card))?.number ?? `card ${card}`;
            queue?.add(key, me?.id ?? 0, { id: card, number }, title, one(input));
        }
    }, done);
}

export const useEnterDamage = (card: number, title: string, done: () => void) =>
    useSendOrKeep<DamageBody>(
        card,
        (body) => ({ what: 'damage', body }),
        title,
        (body, key) => sendDamage(card, body, key),
        done,
    );

export const useLook = (damage: Schemas['DamageView'], card: number | null, done?: () => void) =>
    useSendOrKeep<LookBody | null>(
        card,
        (body) => ({ what: 'look', damage: damage.id, name: damage.number, body }),
        damage.number,
        (body, key) => sendLook({ damage: damage.id, card, body, key }),
        done,
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
                        const card = await send(w);
                        queue.set(answered(queue.all(), w.key, 'sent'));
                        if (card !== null) {
                            client.setQueryData(keys.card(w.card), card);
                        }
                    } catch (e) {
                        const f = e as Failure;
                        if (f.saved) {
                            queue.set(answered(queue.all(), w.key, 'sent'));
                            void client.invalidateQueries({ queryKey: keys.card(w.card) });
                            continue;
                        }
                        if (
                            f.status === undefined ||
                            f.status === 0 ||
                            f.status >= 500 ||
                            f.status === 401 ||
                            f.status === 419
                        ) {
                            return;
                        }
                        queue.set(answered(queue.all(), w.key, { refused: f.message }));
                        void client.invalidateQueries({ queryKey: keys.card(w.card) });
                    }
                }
                readAnew(client);
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
