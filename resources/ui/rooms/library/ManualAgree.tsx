import { type FormEvent, type ReactNode, useState } from 'react';
import type { Failure } from '../../api/client';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Trouble } from '../../parts/Page';

export type Outcome = 'stands' | 'new' | 'both';

export type Option<O extends Outcome> = { value: O; says: string };

/** Accepts something that was read again: what follows from it, and a note, under one's own name. */
export function Agree<O extends Outcome>({
    title,
    options,
    first,
    busy,
    error,
    ready = true,
    onPick,
    onSend,
    onClose,
    reads,
    children,
}: {
    title: string;
    reads?: ReactNode;
    options: Option<O>[];
    first: O | null;
    busy: boolean;
    error: Failure | null;
    ready?: boolean;
    onPick?: (outcome: O) => void;
    onSend: (outcome: O, note: string) => void;
    onClose: () => void;
    children?: ReactNode;
}) {
    const [outcome, setOutcome] = useState<O | null>(first);
    const [note, setNote] = useState('');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        if (outcome) {
            onSend(outcome, note);
        }
    };
    return (
        <Dialog open onClose={onClose} title={title} wide={reads !== undefined}>
            <form onSubmit={submit} className="space-y-3">
                {reads}
                <fieldset className="grid gap-2">
                    <legend className="sr-only">Outcome</legend>
                    {options.map((o) => (
                        <label
                            key={o.value}
                            className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${outcome === o.value ? 'border-ink' : 'border-rule'}`}
                        >
                            <input
                                type="radio"
                                name="outcome"
                                className="size-6 shrink-0 accent-spruce"
                                checked={outcome === o.value}
                                onChange={() => {
                                    setOutcome(o.value);
                                    onPick?.(o.value);
                                }}
                            />
                            {o.says}
                        </label>
                    ))}
                </fieldset>
                {children}
                <label className="block">
                    <span className="mb-1 block font-semibold">What you read, and what it means for the work</span>
                    <textarea
                        name="note"
                        rows={3}
                        value={note}
                        onChange={(e) => setNote(e.target.value)}
                        className="w-full rounded-lg border-2 border-soft bg-sheet p-3"
                    />
                </label>
                <Trouble error={error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    disabled={busy || !ready || outcome === null || note.trim() === ''}
                >
                    Accept, under my name
                </Button>
            </form>
        </Dialog>
    );
}
