import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../api/client';
import { useSend } from '../api/hooks';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { Field } from '../parts/Field';
import { Trouble } from '../parts/Page';

/** One's own password and PIN. */
export function OwnSecrets({ onClose }: { onClose: () => void }) {
    const client = useQueryClient();
    const [now, setNow] = useState('');
    const [password, setPassword] = useState('');
    const [pin, setPin] = useState('');
    const [again, setAgain] = useState('');
    const send = useSend(
        (body: { now: string; password?: string; pin?: string }) => take(api.POST('/api/me/secrets', { body })),
        (me: Schemas['Me']) => {
            client.setQueryData(['me'], me);
            onClose();
        },
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ now, ...(password ? { password } : {}), ...(pin ? { pin } : {}) });
    };
    return (
        <Dialog open onClose={onClose} title="My password and PIN">
            <form onSubmit={submit} className="space-y-4">
                <Field
                    label="Password of today"
                    name="now"
                    type="password"
                    autoComplete="current-password"
                    value={now}
                    onChange={(e) => setNow(e.target.value)}
                />
                <Field
                    label="New password"
                    name="password"
                    type="password"
                    autoComplete="new-password"
                    hint="Leave it empty to keep the one you have."
                    value={password}
                    onChange={(e) => setPassword(e.target.value)}
                />
                <div className="grid grid-cols-2 gap-4">
                    <Field
                        label="New PIN"
                        name="pin"
                        type="password"
                        inputMode="numeric"
                        autoComplete="off"
                        hint="4 to 8 digits that only you know."
                        value={pin}
                        onChange={(e) => setPin(e.target.value)}
                    />
                    <Field
                        label="The PIN again"
                        name="again"
                        type="password"
                        inputMode="numeric"
                        autoComplete="off"
                        hint={pin !== again && again !== '' ? 'The two differ.' : undefined}
                        value={again}
                        onChange={(e) => setAgain(e.target.value)}
                    />
                </div>
                <Trouble error={send.error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    disabled={send.isPending || now === '' || pin !== again || (pin === '' && password === '')}
                >
                    Keep them
                </Button>
            </form>
        </Dialog>
    );
}
