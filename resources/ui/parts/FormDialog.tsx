import type { FormEvent, ReactNode } from 'react';
import type { Failure } from '../api/client';
import { Button } from './Button';
import { Actions, Dialog } from './Dialog';
import { Trouble } from './Page';

type Props = {
    title: string;
    wide?: boolean;
    /** What the one button says. */
    action: string;
    ready: boolean;
    send: { isPending: boolean; error: Failure | null };
    onSend: () => void;
    onClose: () => void;
    children: ReactNode;
};

/** A few fields and one button; what is wrong stands above the button, and what was entered stays. */
export function FormDialog({ title, wide, action, ready, send, onSend, onClose, children }: Props) {
    const submit = (e: FormEvent) => {
        e.preventDefault();
        onSend();
    };
    return (
        <Dialog open onClose={onClose} title={title} wide={wide}>
            <form onSubmit={submit} className="space-y-4">
                {children}
                <Actions trouble={<Trouble error={send.error} />}>
                    <Button kind="main" big type="submit" disabled={send.isPending || !ready}>
                        {action}
                    </Button>
                </Actions>
            </form>
        </Dialog>
    );
}
