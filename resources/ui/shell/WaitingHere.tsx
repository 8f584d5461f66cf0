import { useQueryClient } from '@tanstack/react-query';
import { del } from 'idb-keyval';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../api/client';
import { useConnected } from '../api/connection';
import { useMoment } from '../api/hooks';
import { keys } from '../api/keys';
import { entered, named, queue, renewed, type Waiting } from '../api/queue';
import { useWaiting } from '../api/useQueue';
import { Button } from '../parts/Button';
import { State } from '../parts/State';

/** What waits on this device to be sent, and what came back refused: shown, never dropped unasked. */
export function WaitingHere({ who }: { who: number }) {
    const waiting = useWaiting();
    const lost = !useConnected();
    const since = useOldest(lost);
    const mine = waiting.filter((w) => w.who === who && w.refused === null);
    const others = waiting.filter((w) => w.who !== who);
    const refused = waiting.filter((w) => w.who === who && w.refused !== null);
    if (waiting.length === 0 && !lost) {
        return null;
    }
    return (
        <div
            className="noprint sticky top-0 z-20 border-b border-rule bg-sheet px-6 py-2"
            role="status"
            data-testid="waiting-here"
        >
            {(mine.length > 0 || lost) && (
                <p>
                    <State state="waiting" word={lost ? 'No connection' : 'Sending'} />{' '}
                    {mine.length === 0
                        ? 'What you confirm on a card is kept on this device and sent when it is back.'
                        : `${count(mine)} on this device: ${mine.map(named).join(', ')}. Each is sent once.`}
                    {since !== null && ` What you see is as it was at ${since}.`}
                </p>
            )}
            {others.length > 0 && (
                <p className="text-soft">
                    {others.length === 1 ? 'Something' : `${others.length} entries`} of somebody else{' '}
                    {others.length === 1 ? 'waits' : 'wait'} on this device until they sign in here.
                </p>
            )}
            {refused.map((w) => (
                <Refused key={w.key} one={w} />
            ))}
        </div>
    );
}

/** "2 steps wait", or "3 entries wait" where they are not all steps. */
function count(list: Waiting[]): string {
    const what = list.every((w) => w.what === 'step') ? ['step', 'steps'] : ['entry', 'entries'];
    return list.length === 1 ? `1 ${what[0]} waits` : `${list.length} ${what[1]} wait`;
}

/** Without a connection: since when the oldest of what is on the screen was read. */
function useOldest(lost: boolean): string | null {
    const client = useQueryClient();
    const moment = useMoment();
    if (!lost || moment.data === undefined) {
        return null;
    }
    const shown = client
        .getQueryCache()
        .getAll()
        .filter((q) => q.getObserversCount() > 0 && q.queryKey[0] !== keys.me[0] && q.state.dataUpdatedAt > 0);
    if (shown.length === 0) {
        return null;
    }
    // By the server's clock, not this device's.
    const ahead = Date.parse(moment.data.now) - moment.dataUpdatedAt;
    return new Date(Math.min(...shown.map((q) => q.state.dataUpdatedAt)) + ahead).toLocaleTimeString('en-GB', {
        hour: '2-digit',
        minute: '2-digit',
        timeZone: moment.data.zone,
    });
}

/** One that could not be worked: what was entered, why, and what can be done. */
function Refused({ one }: { one: Waiting }) {
    const client = useQueryClient();
    const [said, setSaid] = useState<string | null>(null);
    const again = async () => {
        try {
            const card: Schemas['CardView'] = await take(
                api.GET('/api/cards/{id}', { params: { path: { id: one.card } } }),
            );
            client.setQueryData(keys.card(one.card), card);
            queue?.set(renewed(queue.all(), one.key, card.version, () => crypto.randomUUID()));
        } catch {
            setSaid('The card could not be read; nothing was sent.');
        }
    };
    return (
        <div
            className="my-2 flex flex-wrap items-center gap-3 rounded-lg border-2 border-ochre bg-ochre-wash p-3"
            role="alert"
            data-testid="refused"
        >
            <p className="min-w-64 flex-1">
                <Link
                    className="font-semibold underline underline-offset-4"
                    to={`/floor/${one.card}${one.what === 'step' ? `?step=${one.no}` : ''}`}
                >
                    {one.what === 'step' ? `${one.number}, step ${one.no}, ${one.title}` : named(one)}
                </Link>{' '}
                was not {one.what === 'step' ? 'worked' : 'kept'}. {one.refused}
                {entered(one) !== '' && (
                    <>
                        {' '}
                        You entered: <b className="font-mono">{entered(one)}</b>.
                    </>
                )}
                {said && <span className="block">{said}</span>}
            </p>
            <Button className="min-h-12" onClick={() => void again()}>
                Send it to the card as it is now
            </Button>
            <Button
                className="min-h-12"
                onClick={() => {
                    queue?.set(queue.all().filter((w) => w.key !== one.key));
                    void del(one.key);
                }}
            >
                Drop my entry
            </Button>
        </div>
    );
}
