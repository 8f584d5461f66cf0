import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { BreakOff } from '../BreakOff';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';
import { Ring, useHeld } from './Ring';

/** Something held for a time by the server's clock. */
export function HoldStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.hold as { seconds: number; what: string };
    const send = useStep({ card, step, onConflict });
    const running = step.startedAt !== null;
    const held = useHeld(step);
    const over = running && held >= spec.seconds + 0.5;
    const ready = useDeliberate();
    const go = () => ready && !send.isPending && (!running || over) && send.mutate({ do: over ? 'done' : 'start' });
    useEnter(go, !running || over);
    return (
        <>
            <div className="mt-4 flex items-center gap-8">
                <Ring held={Math.min(held, spec.seconds)} of={spec.seconds} />
                <div>
                    <h2 className="font-semibold">Hold for {spec.seconds} s</h2>
                    <p>{spec.what}</p>
                </div>
            </div>
            <Trouble error={send.error} />
            <div className="mt-6 flex flex-wrap gap-3">
                <Button
                    kind="main"
                    big
                    hint="Enter"
                    disabled={!ready || send.isPending || (running && !over)}
                    onClick={go}
                >
                    {over ? 'It held' : running ? 'Holding…' : 'Start the hold'}
                </Button>
                {running && (
                    <Button big disabled={send.isPending} onClick={() => send.mutate({ do: 'start' })}>
                        It moved; begin again
                    </Button>
                )}
                {running && <BreakOff card={card} step={step} onConflict={onConflict} />}
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
        </>
    );
}
