import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, take } from '../api/client';
import { useSend } from '../api/hooks';
import { Field } from '../parts/Field';
import { FormDialog, useFields } from '../parts/FormDialog';

/** One's own password and PIN. */
export function OwnSecrets({ onClose }: { onClose: () => void }) {
    const client = useQueryClient();
    const { values: v, bind } = useFields({ now: '', password: '', pin: '', again: '' });
    const send = useSend(
        (body: { now: string; password?: string; pin?: string }) => take(api.POST('/api/me/secrets', { body })),
        (me: Schemas['Me']) => {
            client.setQueryData(['me'], me);
            onClose();
        },
    );
    return (
        <FormDialog
            title="My password and PIN"
            action="Save them"
            ready={v.now !== '' && v.pin === v.again && (v.pin !== '' || v.password !== '')}
            send={send}
            onSend={() => send.mutate({ now: v.now, ...(v.password ? { password: v.password } : {}), ...(v.pin ? { pin: v.pin } : {}) })}
            onClose={onClose}
        >
            <Field label="Password of today" type="password" {...bind('now')} autoComplete="current-password" />
            <Field
                label="New password"
                type="password"
                hint="Leave it empty to keep the one you have."
                {...bind('password')}
                autoComplete="new-password"
            />
            <div className="grid grid-cols-2 gap-4">
                <Field label="New PIN" type="password" inputMode="numeric" hint="4 to 8 digits that only you know." {...bind('pin')} />
                <Field
                    label="The PIN again"
                    type="password"
                    inputMode="numeric"
                    hint={v.pin !== v.again && v.again !== '' ? 'The two differ.' : undefined}
                    {...bind('again')}
                />
            </div>
        </FormDialog>
    );
}
