import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { Reason } from './Reason';
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
export function SayNotApplicable(props: StepProps) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button kind="quiet" className="min-h-12" onClick={() => setOpen(true)}>
                Does not apply
            </Button>
            {open && (
                <Reason
                    {...props}
                    title={`Step ${props.step.no} does not apply`}
                    says="It stands on the card as not applicable, with this reason and your name; it is not done."
                    asks="Why not?"
                    action="Not applicable"
                    act="not_applicable"
                    onClose={() => setOpen(false)}
                />
            )}
        </>
    );
}
