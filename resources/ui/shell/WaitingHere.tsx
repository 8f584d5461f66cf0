import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../api/client';
import { queue, renewed, type Waiting } from '../api/queue';
import { useWaiting } from '../api/useQueue';
import { Button } from '../parts/Button';
import { State } from '../parts/State';

const entered = (w: Waiting): string => [w.body.entry, ...Object.values(w.body.entries ?? {})].filter((v) => v && v !== 'no').join(', ');

/** What waits on this device to be sent, and what came back refused: shown, never dropped unasked. */
export function WaitingHere({ who }: { who: number }) {
    const waiting = useWaiting();
    const [online, setOnline] = useState(navigator.onLine);
    useEffect(() => {
        const set = () => setOnline(navigator.onLine);
        window.addEventListener('online', set);
        window.addEventListener('offline', set);
        return () => {
            window.removeEventListener('online', set);
            window.removeEventListener('offline', set);
        };
    }, []);
    const mine = waiting.filter((w) => w.who === who && w.refused === null);
    const others = waiting.filter((w) => w.who !== who);
    const refused = waiting.filter((w) => w.who === who && w.refused !== null);
    if (waiting.length === 0 && online) {
        return null;
    }
    return (
        <div className="noprint border-b border-rule bg-sheet px-6 py-2" role="status" data-testid="waiting-here">
            {(mine.length > 0 || !online) && (
                <p>
                    <State state="waiting" word={online ? 'Sending' : 'No connection'} />{' '}
                    {mine.length === 0
                        ? 'What you confirm on a card is kept on this device and sent when it is back.'
                        : `${mine.length === 1 ? '1 step waits' : `${mine.length} steps wait`} on this device: ${mine.map((w) => `${w.number} step ${w.no}`).join(', ')}. Each is sent once.`}
                </p>
            )}
            {others.length > 0 && (
                <p className="text-soft">
                    {others.length === 1 ? 'A step' : `${others.length} steps`} of somebody else {others.length === 1 ? 'waits' : 'wait'} on
                    this device until they sign in here.
                </p>
            )}
            {refused.map((w) => (
                <Refused key={w.key} one={w} />
            ))}
        </div>
    );
}

/** One that could not be worked: what was entered, why, and what can be done. */
function Refused({ one }: { one: Waiting }) {
    const client = useQueryClient();
    const [said, setSaid] = useState<string | null>(null);
    const again = async () => {
        try {
            const card: Schemas['CardView'] = await take(api.GET('/api/cards/{id}', { params: { path: { id: one.card } } }));
            client.setQueryData(['cards', one.card], card);
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
                <Link className="font-semibold underline underline-offset-4" to={`/floor/${one.card}?step=${one.no}`}>
                    {one.number}, step {one.no}, {one.title}
                </Link>{' '}
                was not worked. {one.refused}
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
            <Button className="min-h-12" onClick={() => queue?.set(queue.all().filter((w) => w.key !== one.key))}>
                Drop my entry
            </Button>
        </div>
    );
}
