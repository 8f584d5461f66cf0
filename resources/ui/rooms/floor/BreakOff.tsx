import { useState } from 'react';
import { Button } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { type StepProps, useStep } from './useStep';

/** Breaks off a hold or a test that runs: what acts on the system is stopped first, then it is said here, with why. */
export function BreakOff({ card, step, onConflict }: Pick<StepProps, 'card' | 'step' | 'onConflict'>) {
    const [open, setOpen] = useState(false);
    const [why, setWhy] = useState('');
    const send = useStep({ card, step, onConflict });
    return (
        <>
            <Button big onClick={() => setOpen(true)}>
                Break off
            </Button>
            {open && (
                <FormDialog
                    title={`Break off step ${step.no}`}
                    action="It is stopped"
                    ready={why.trim() !== ''}
                    send={send}
                    onSend={() => send.mutate({ do: 'stop', note: why }, { onSuccess: () => setOpen(false) })}
                    onClose={() => setOpen(false)}
                >
                    <p>Stop it first: power or pressure off, nothing moves. From then on nobody is kept away for it.</p>
                    <label className="mt-3 block">
                        <span className="mb-1 block font-semibold">Why?</span>
                        <input
                            name="why"
                            autoFocus
                            value={why}
                            onChange={(e) => setWhy(e.target.value)}
                            className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                        />
                    </label>
                </FormDialog>
            )}
        </>
    );
}
