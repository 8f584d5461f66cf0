import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Reason } from './Reason';
import type { StepProps } from './useStep';

/** Breaks off a hold or a test that runs: what acts on the system is stopped first, then it is said here, with why. */
export function BreakOff(props: Pick<StepProps, 'card' | 'step' | 'onConflict'>) {
    const [open, setOpen] = useState(false);
    return (
        <>
            <Button big onClick={() => setOpen(true)}>
                Break off
            </Button>
            {open && (
                <Reason
                    {...props}
                    title={`Break off step ${props.step.no}`}
                    says="Stop it first: power or pressure off, nothing moves. From then on nobody is kept away for it."
                    asks="Why?"
                    action="It is stopped"
                    act="stop"
                    onClose={() => setOpen(false)}
                />
            )}
        </>
    );
}
