import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog, useFields } from '../../parts/FormDialog';

export type Given = { password: string; pin: string };

type FirstProps = { login?: string; onLogin?: (v: string) => void; given: Given; onGiven: (g: Given) => void };

/** What somebody begins with; they choose their own PIN before it signs anything. */
export function FirstSecrets({ login, onLogin, given, onGiven }: FirstProps) {
    return (
        <fieldset className="rounded-lg border border-rule p-4">
            <legend className="px-1 font-semibold">To begin with</legend>
            <div className={`grid gap-4 ${onLogin ? 'grid-cols-3' : 'grid-cols-2'}`}>
                {onLogin && (
                    <Field
                        label="Signs in as"
                        name="login"
                        autoComplete="off"
                        value={login ?? ''}
                        onChange={(e) => onLogin(e.target.value)}
                    />
                )}
                <Field
                    label="Password"
                    name="password"
                    autoComplete="off"
                    value={given.password}
                    onChange={(e) => onGiven({ ...given, password: e.target.value })}
                />
                <Field
                    label="PIN"
                    name="pin"
                    inputMode="numeric"
                    autoComplete="off"
                    value={given.pin}
                    onChange={(e) => onGiven({ ...given, pin: e.target.value })}
                />
            </div>
            <p className="mt-2 text-sm text-soft">
                This PIN signs nothing: they choose one that only they know, under their name at the top, with a code that a second person
                makes. You cannot make it yourself, as you know the password.
            </p>
        </fieldset>
    );
}

/** A new password and PIN, for somebody who has lost theirs. */
export function GiveSecrets({ person, onClose }: { person: Schemas['PersonView']; onClose: () => void }) {
    const [given, setGiven] = useState<Given>({ password: '', pin: '' });
    const send = useSend(
        (body: Given, headers) => take(api.POST('/api/people/{id}/secrets', { params: { path: { id: person.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={`A new password and PIN for ${person.name}`}
            action="Give them"
            ready={given.password !== '' && given.pin !== ''}
            send={send}
            onSend={() => send.mutate(given)}
            onClose={onClose}
        >
            <FirstSecrets given={given} onGiven={setGiven} />
            <p className="text-soft">Wherever they are signed in now ends. What they signed stands.</p>
        </FormDialog>
    );
}

/** The code for somebody's PIN, made by a second person and shown this once. */
export function MakeCode({ person, onClose }: { person: Schemas['PersonView']; onClose: () => void }) {
    const { values: v, bind } = useFields({ stamp: '', pin: '' });
    const [made, setMade] = useState<Schemas['PinCodeView'] | null>(null);
    const send = useSend(
        (body: { stamp: string; pin: string }) => take(api.POST('/api/people/{id}/code', { params: { path: { id: person.id } }, body })),
        setMade,
    );
    return (
        <FormDialog
            title={`A code for the PIN of ${person.name}`}
            action={made ? 'Told' : 'Make the code'}
            ready={made !== null || (v.stamp !== '' && v.pin !== '')}
            send={send}
            onSend={() => (made ? onClose() : send.mutate({ stamp: v.stamp, pin: v.pin }))}
            onClose={onClose}
        >
            {made ? (
                <div role="status">
                    <p className="font-mono text-4xl tracking-widest">{made.code}</p>
                    <p className="mt-2 text-soft">{made.said}</p>
                </div>
            ) : (
                <>
                    <p>
                        With it {person.name} chooses a PIN and signs from then on. Make it only when {person.name} stands before you: your
                        stamp goes into the record.
                    </p>
                    <div className="grid grid-cols-2 gap-4">
                        <Field label="Your stamp" {...bind('stamp')} autoComplete="off" />
                        <Field label="Your PIN" type="password" inputMode="numeric" {...bind('pin')} autoComplete="off" />
                    </div>
                </>
            )}
        </FormDialog>
    );
}
