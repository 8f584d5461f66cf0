import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Signature } from '../../parts/Signature';
import type { Signed } from '../../parts/StampAndPin';

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
                This PIN signs nothing: they choose one that only they know, under their name at the top, with a code
                that a second person makes. You cannot make it yourself, as you know the password.
            </p>
        </fieldset>
    );
}

/** A new password and PIN, for somebody who has lost theirs. */
export function GiveSecrets({ person, onClose }: { person: Schemas['PersonView']; onClose: () => void }) {
    const [given, setGiven] = useState<Given>({ password: '', pin: '' });
    const send = useSend(
        (body: Given, headers) =>
            take(api.POST('/api/people/{id}/secrets', { params: { path: { id: person.id } }, body, headers })),
        onClose,
        { affects: [keys.crew] },
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

/** The code for somebody's PIN, signed for by a second person and shown this once. */
export function MakeCode({ person, onClose }: { person: Schemas['PersonView']; onClose: () => void }) {
    const [made, setMade] = useState<Schemas['PinCodeView'] | null>(null);
    const send = useSend(
        (body: Signed) => take(api.POST('/api/people/{id}/code', { params: { path: { id: person.id } }, body })),
        setMade,
        { affects: [keys.crew] },
    );
    const title = `A code for the PIN of ${person.name}`;
    if (made) {
        return (
            <Dialog open onClose={onClose} title={title}>
                <div role="status">
                    <p className="font-mono text-4xl tracking-widest">{made.code}</p>
                    <p className="mt-2 mb-5 text-soft">{made.said}</p>
                </div>
                <Button kind="main" big onClick={onClose}>
                    It is told
                </Button>
            </Dialog>
        );
    }
    return (
        <Signature
            open
            title={title}
            says={`${person.name} stands before me. With this code ${person.name} chooses a PIN, and signs from then on.`}
            busy={send.isPending}
            error={send.error}
            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
            onClose={onClose}
        />
    );
}
