import { useQueryClient } from '@tanstack/react-query';
import { api, type Schemas, take } from '../api/client';
import { useSend } from '../api/hooks';
import { keys } from '../api/keys';
import { Field } from '../parts/Field';
import { FormDialog } from '../parts/FormDialog';
import { useFields } from '../parts/fields';

/** One's own password and PIN. */
export function OwnSecrets({ me, onClose }: { me: Schemas['Me']; onClose: () => void }) {
    const client = useQueryClient();
    const { values: v, bind } = useFields({ now: '', password: '', pin: '', again: '', code: '' });
    const send = useSend(
        (body: { now: string; password?: string; pin?: string; code?: string }) =>
            take(api.POST('/api/me/secrets', { body })),
        (me: Schemas['Me']) => {
            client.setQueryData(keys.me, me);
            onClose();
        },
        { affects: [keys.me] },
    );
    return (
        <FormDialog
            title="My password and PIN"
            action="Save them"
            ready={v.now !== '' && v.pin === v.again && (v.pin !== '' || v.password !== '')}
            send={send}
            onSend={() =>
                send.mutate({
                    now: v.now,
                    ...(v.password ? { password: v.password } : {}),
                    ...(v.pin ? { pin: v.pin } : {}),
                    ...(v.code ? { code: v.code } : {}),
                })
            }
            onClose={onClose}
        >
            <Field label="Password of today" type="password" {...bind('now')} autoComplete="current-password" />
            <Field
                label="New password"
                type="password"
                hint={
                    me.ownPassword
                        ? 'Leave it empty to keep the one you have.'
                        : 'The one you have was given to you: choose another.'
                }
                {...bind('password')}
                autoComplete="new-password"
            />
            <div className="grid grid-cols-2 gap-4">
                <Field
                    label="New PIN"
                    type="password"
                    inputMode="numeric"
                    hint="4 to 8 digits that only you know."
                    {...bind('pin')}
                />
                <Field
                    label="The PIN again"
                    type="password"
                    inputMode="numeric"
                    hint={v.pin !== v.again && v.again !== '' ? 'The two differ.' : undefined}
                    {...bind('again')}
                />
            </div>
            {!me.ownPin && (
                <Field
                    label="Code from a second person"
                    inputMode="numeric"
                    hint="A controller who did not give you the password, or whoever certifies, makes it in the Crew room and tells it to you."
                    {...bind('code')}
                    autoComplete="one-time-code"
                />
            )}
        </FormDialog>
    );
}
