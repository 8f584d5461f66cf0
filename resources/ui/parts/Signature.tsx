import { type FormEvent, type ReactNode, useState } from 'react';
import type { Failure } from '../api/client';
import { Button } from './Button';
import { Dialog } from './Dialog';
import { Trouble } from './Page';
import { isSigned, StampAndPin, unsigned } from './StampAndPin';

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
    const [signed, setSigned] = useState(unsigned);
    const submit = (e: FormEvent) => {
        e.preventDefault();
        onSign(signed.stamp, signed.pin);
        setSigned({ ...signed, pin: '' });
    };
    return (
        <Dialog open={open} onClose={onClose} title={title}>
            <form onSubmit={submit}>
                <p className="mb-4 rounded-lg bg-sheet p-3">{says}</p>
                {children}
                <StampAndPin first signed={signed} onSigned={setSigned} />
                <Trouble error={error} />
                <div className="mt-5 flex gap-3">
                    <Button kind="main" big type="submit" disabled={busy || !isSigned(signed) || !ready}>
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
