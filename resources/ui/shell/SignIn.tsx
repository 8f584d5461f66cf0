import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, type Failure, type Schemas, take } from '../api/client';
import { keys } from '../api/keys';
import { Button } from '../parts/Button';
import { Field } from '../parts/Field';
import { useFields } from '../parts/fields';
import { Trouble } from '../parts/Page';

/** The door. Over a page when a session ran out, so that what was typed there stays. */
export function SignIn({ over }: { over?: boolean }) {
    const client = useQueryClient();
    const { values: at, bind } = useFields({ login: '', password: '' });
    const [error, setError] = useState<Failure | null>(null);
    const [busy, setBusy] = useState(false);
    const submit = async (e: FormEvent) => {
        e.preventDefault();
        setBusy(true);
        try {
            const before = client.getQueryData<Schemas['Me']>(keys.me);
            const me = await take(api.POST('/api/sign-in', { body: at }));
            // What another person had on the screen is not for this one.
            if (before !== undefined && before.id !== me.id) {
                client.removeQueries({ predicate: (q) => q.queryKey[0] !== keys.me[0] });
            }
            client.setQueryData(keys.me, me);
            await client.invalidateQueries();
        } catch (failure) {
            setError(failure as Failure);
        } finally {
            setBusy(false);
        }
    };
    return (
        <main className={`grid place-items-center ${over ? 'fixed inset-0 z-50 bg-veil' : 'min-h-screen'}`}>
            <form onSubmit={(e) => void submit(e)} className="w-96 rounded-xl border border-rule bg-paper p-8">
                <h1 className="text-[1.6rem] leading-tight font-bold">Jorvel</h1>
                <p className="mt-1 mb-6 text-soft">
                    {over
                        ? 'You were signed out. What you typed is still on the page behind this.'
                        : 'Plan the check, work the cards, carry what must be carried, hand it back.'}
                </p>
                <Field label="Name" autoFocus {...bind('login')} autoComplete="username" />
                <Field
                    label="Password"
                    type="password"
                    className="mt-4"
                    {...bind('password')}
                    autoComplete="current-password"
                />
                <Trouble error={error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    className="mt-6 w-full"
                    disabled={busy || at.login === '' || at.password === ''}
                >
                    {busy ? 'Signing in…' : 'Sign in'}
                </Button>
            </form>
        </main>
    );
}
