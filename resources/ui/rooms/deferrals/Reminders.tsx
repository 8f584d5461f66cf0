import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useReminders, useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Heads } from '../../parts/Heads';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { MakeWebhook } from './MakeWebhook';
import { deferralTabs } from './tabs';

/** Who is told of what happens: the addresses, and what became of each message. */
export function Reminders() {
    return <Wait query={useReminders()}>{(room) => <RemindersOf room={room} />}</Wait>;
}

function RemindersOf({ room }: { room: Schemas['RemindersView'] }) {
    const [making, setMaking] = useState(false);
    const [secret, setSecret] = useState<string | null>(null);
    return (
        <Page
            over={<Tabs label="Deferrals" tabs={deferralTabs} />}
            sentence={room.sentence}
            note={room.note}
            actions={
                room.may && (
                    <Button kind="main" onClick={() => setMaking(true)}>
                        Tell an address
                    </Button>
                )
            }
        >
            {making && <MakeWebhook events={room.events} onMade={setSecret} onClose={() => setMaking(false)} />}
            {secret !== null && (
                <div className="mb-4 rounded-xl border-2 border-spruce bg-sheet p-4" data-testid="secret">
                    <p>The secret that signs its messages. It is shown this once; put it where they are received.</p>
                    <code className="mt-2 block overflow-x-auto rounded bg-paper px-2 py-1 font-mono text-sm">
                        {secret}
                    </code>
                </div>
            )}
            <Section title="Addresses">
                <Addresses room={room} />
            </Section>
            <Section title="Messages">
                <Messages room={room} />
            </Section>
        </Page>
    );
}

function Addresses({ room }: { room: Schemas['RemindersView'] }) {
    const send = useSend(
        ({ id, path }: { id: number; path: '/api/webhooks/{id}/try' | '/api/webhooks/{id}/revoke' }, headers) =>
            take(api.POST(path, { params: { path: { id } }, headers })),
        undefined,
        { affects: [keys.reminders] },
    );
    if (room.webhooks.length === 0) {
        return <p className="py-1 text-soft">None. {room.may ? '' : 'A controller adds them.'}</p>;
    }
    return (
        <>
            <Trouble error={send.error} />
            <table className="w-full text-left">
                <Heads of={['State', 'What for', 'Where to', 'Told of', 'Whose', '']} />
                <tbody>
                    {room.webhooks.map((h) => (
                        <tr key={h.id} className="border-t border-rule/60" data-webhook={h.name}>
                            <td className="py-2 pr-4">
                                <State state={h.state} word={h.word} />
                            </td>
                            <td className="pr-4">{h.name}</td>
                            <td className="pr-4 font-mono text-sm">{h.host}</td>
                            <td className="pr-4">{h.events.join('; ')}</td>
                            <td className="pr-4">{h.whose}</td>
                            <td className="whitespace-nowrap text-right">
                                {room.may && h.revoked === null && (
                                    <>
                                        <Button
                                            disabled={send.isPending}
                                            onClick={() => send.mutate({ id: h.id, path: '/api/webhooks/{id}/try' })}
                                        >
                                            Try it
                                        </Button>{' '}
                                        <Button
                                            disabled={send.isPending}
                                            onClick={() => send.mutate({ id: h.id, path: '/api/webhooks/{id}/revoke' })}
                                        >
                                            Revoke
                                        </Button>
                                    </>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}

function Messages({ room }: { room: Schemas['RemindersView'] }) {
    const again = useSend(
        (id: number, headers) =>
            take(api.POST('/api/webhook-deliveries/{id}/again', { params: { path: { id } }, headers })),
        undefined,
        { affects: [keys.reminders] },
    );
    if (room.deliveries.length === 0) {
        return <p className="py-1 text-soft">None was sent yet.</p>;
    }
    return (
        <>
            <Trouble error={again.error} />
            <table className="w-full text-left">
                <Heads of={['State', 'To', 'What', 'Found', '']} />
                <tbody>
                    {room.deliveries.map((d) => (
                        <tr key={d.id} className="border-t border-rule/60 align-top">
                            <td className="w-56 py-2 pr-4">
                                <State state={d.state} word={d.word} />
                            </td>
                            <td className="py-2 pr-4">{d.to}</td>
                            <td className="py-2 pr-4">
                                <Link to={d.link} className="underline decoration-rule underline-offset-4">
                                    {d.said}
                                </Link>
                            </td>
                            <td className="whitespace-nowrap py-2 pr-4">{d.made}</td>
                            <td className="py-1 text-right">
                                {room.may && d.again && (
                                    <Button disabled={again.isPending} onClick={() => again.mutate(d.id)}>
                                        Send again
                                    </Button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </>
    );
}
