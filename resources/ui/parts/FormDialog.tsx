import { type ChangeEvent, type FormEvent, type ReactNode, useState } from 'react';
import type { Failure } from '../api/client';
import { Button } from './Button';
import { Dialog } from './Dialog';
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
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || !ready}>
                    {action}
                </Button>
            </form>
        </Dialog>
    );
}

/** Texts of a form by the names of their fields. */
export function useFields<T extends Record<string, string>>(start: T) {
    const [values, setValues] = useState(start);
    const set = (part: Partial<T>) => setValues((v) => ({ ...v, ...part }));
    const bind = (name: keyof T & string) => ({
        name,
        value: values[name],
        autoComplete: 'off',
        onChange: (e: ChangeEvent<HTMLInputElement>) => set({ [name]: e.target.value } as Partial<T>),
    });
    return { values, set, bind };
}

/** A whole number of pieces. */
export const whole = (text: string): boolean => /^\d+$/.test(text);
