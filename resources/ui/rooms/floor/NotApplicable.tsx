import { useState } from 'react';
import { Button } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { useDeliberate } from './useDeliberate';
import { type StepProps, useEnter, useStep } from './useStep';

/** A step that the template does not mean this aircraft by: it is said so, with the reason, and is not done. */
export function NotForThis({ card, step, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const ready = useDeliberate();
    const say = () => ready && !send.isPending && send.mutate({ do: 'not_applicable' });
    useEnter(say, true);
    return (
        <div className="mt-5 max-w-2xl rounded-lg border-2 border-dashed border-slate p-4" data-testid="not-for-this">
            <p className="text-[1.1rem]">
                <State state="waiting" word="Does not apply here" />. {step.notFor}
            </p>
            <Trouble error={send.error} />
            <Button kind="main" big hint="Enter" className="mt-4" disabled={!ready || send.isPending} onClick={say}>
                Not applicable
            </Button>
        </div>
    );
}

/** Somebody at the aircraft says that a step does not apply, and why. */
export function SayNotApplicable({ card, step, onConflict }: StepProps) {
    const [open, setOpen] = useState(false);
    const [why, setWhy] = useState('');
    const send = useStep({ card, step, onConflict });
    return (
        <>
            <Button kind="quiet" className="min-h-12" onClick={() => setOpen(true)}>
                Does not apply
            </Button>
            {open && (
                <FormDialog
                    title={`Step ${step.no} does not apply`}
                    action="Not applicable"
                    ready={why.trim() !== ''}
                    send={send}
                    onSend={() => send.mutate({ do: 'not_applicable', note: why }, { onSuccess: () => setOpen(false) })}
                    onClose={() => setOpen(false)}
                >
                    <p>It stands on the card as not applicable, with this reason and your name; it is not done.</p>
                    <label className="mt-3 block">
                        <span className="mb-1 block font-semibold">Why not?</span>
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
