import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Signature } from '../../parts/Signature';
import type { Signed } from '../../parts/StampAndPin';
import { State } from '../../parts/State';

type Waits = Schemas['WaitingView'];

/** Authorities that were entered and wait for a second person, who looks at the paper and signs for it. */
export function Waiting({ room }: { room: Schemas['PersonRoom'] }) {
    const { person, waiting } = room;
    const [chosen, setChosen] = useState<Waits | null>(null);
    const [back, setBack] = useState<Waits | null>(null);
    const send = useSend(
        ({ value, ...body }: Signed & { value: string }, headers) =>
            take(
                api.POST('/api/people/{id}/qualifications/{value}/confirm', {
                    params: { path: { id: person.id, value } },
                    body,
                    headers,
                }),
            ),
        () => setChosen(null),
        { affects: touches.people },
    );
    return (
        <ul className="mb-3">
            {waiting.map((w) => (
                <li
                    key={w.value}
                    data-waits={w.value}
                    className="flex min-h-16 flex-wrap items-center gap-x-4 gap-y-1 rounded-lg border-2 border-dashed border-soft px-3 py-2"
                >
                    <State state="waiting" word="waits for a second person" />
                    <span className="flex-1">
                        <b>{w.words.replace(/^the /, '')}</b>{' '}
                        {w.validUntil ? `until ${short(w.validUntil)}` : 'without an end'}
                        <span className="block text-sm text-soft">
                            {w.paper}; entered by {w.by}, {w.at}. A second person confirms it.
                        </span>
                    </span>
                    {room.may.includes('qualify') && (
                        <Button className="min-h-12" onClick={() => setBack(w)}>
                            Take it back…
                        </Button>
                    )}
                    {w.mayConfirm && (
                        <Button kind="main" className="min-h-12" onClick={() => setChosen(w)}>
                            Confirm it
                        </Button>
                    )}
                </li>
            ))}
            {chosen && (
                <Signature
                    open
                    title={`Confirm for ${person.name}`}
                    says={`I have seen the paper, ${chosen.paper}: from now on ${person.name} holds ${chosen.words}${chosen.validUntil ? ` until ${short(chosen.validUntil)}` : ''}.`}
                    busy={send.isPending}
                    error={send.error}
                    onSign={(stamp, pin) => send.mutate({ value: chosen.value, stamp, pin })}
                    onClose={() => setChosen(null)}
                />
            )}
            {back && <TakeBack room={room} waits={back} onClose={() => setBack(null)} />}
        </ul>
    );
}

type BackProps = { room: Schemas['PersonRoom']; waits: Waits; onClose: () => void };

function TakeBack({ room, waits, onClose }: BackProps) {
    const { values, bind } = useFields({ paper: '' });
    const send = useSend(
        (body: { version: number; do: 'take_back'; kind: 'authority'; value: string; paper: string }, headers) =>
            take(
                api.POST('/api/people/{id}/qualifications', {
                    params: { path: { id: room.person.id } },
                    body,
                    headers,
                }),
            ),
        onClose,
        { affects: touches.people },
    );
    return (
        <FormDialog
            title={`${room.person.name}: ${waits.words}`}
            action="Take it back"
            ready={values.paper !== ''}
            send={send}
            onSend={() =>
                send.mutate({
                    version: room.version,
                    do: 'take_back',
                    kind: 'authority',
                    value: waits.value,
                    ...values,
                })
            }
            onClose={onClose}
        >
            <p className="text-soft">It was not confirmed yet; what was confirmed stays as it is.</p>
            <Field label="Why" {...bind('paper')} />
        </FormDialog>
    );
}
