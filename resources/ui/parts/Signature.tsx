import { type FormEvent, type ReactNode, useState } from 'react';
import type { Failure } from '../api/client';
import { Button } from './Button';
import { Dialog } from './Dialog';
import { Field } from './Field';
import { Trouble } from './Page';

type Props = {
    open: boolean;
    title: string;
    says: ReactNode;
    busy: boolean;
    error: Failure | null;
    onSign: (stamp: string, pin: string) => void;
    onClose: () => void;
    children?: ReactNode;
    ready?: boolean;
};

/** Sign-off: says in words what is being signed, and asks for stamp and PIN each time. */
export function Signature({ open, title, says, busy, error, onSign, onClose, children, ready = true }: Props) {
    const [stamp, setStamp] = useState('');
    const [pin, setPin] = useState('');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        onSign(stamp, pin);
        setPin('');
    };
    return (
        <Dialog open={open} onClose={onClose} title={title}>
            <form onSubmit={submit}>
                <p className="mb-4 rounded-lg bg-sheet p-3">{says}</p>
                {children}
                <div className="grid grid-cols-2 gap-3">
                    <Field
                        label="Stamp"
                        name="stamp"
                        autoFocus
                        autoComplete="off"
                        value={stamp}
                        onChange={(e) => setStamp(e.target.value)}
                    />
                    <Field
                        label="PIN"
                        name="pin"
                        type="password"
                        inputMode="numeric"
                        autoComplete="off"
                        value={pin}
                        onChange={(e) => setPin(e.target.value)}
                    />
                </div>
                <Trouble error={error} />
                <div className="mt-5 flex gap-3">
                    <Button kind="main" big type="submit" disabled={busy || stamp === '' || pin === '' || !ready}>
                        {busy ? 'Signing…' : 'Sign'}
                    </Button>
                    <Button big onClick={onClose}>
                        Not now
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
