import { Button, ButtonLink } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { State } from '../../../parts/State';
import { AttemptList, testOf } from '../TestBanner';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';

/** The verdict of a test, by its rule; whatever it is, the attempt is kept, and another may be begun. */
export function VerdictStep({ card, step, onWrong, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const test = testOf(card, step);
    const ready = useDeliberate();
    const running = test?.running === true;
    const anew = test?.mayAnew === true;
    const go = () => ready && !send.isPending && send.mutate({ do: running ? 'verdict' : 'new_attempt' });
    useEnter(go, running);
    return (
        <>
            <p className="mt-4 max-w-2xl text-[1.15rem]">
                {anew ? (
                    <>
                        <State state="stop" word={test.attempts[0]?.word ?? 'Not passed'} />. It is kept as it was. Find
                        out why; a new attempt begins with its set-up.
                    </>
                ) : (
                    'Everything is put back. The verdict goes by what was read; nobody chooses it.'
                )}
            </p>
            <Trouble error={send.error} />
            <div className="mt-6 flex flex-wrap gap-3">
                {running && (
                    <Button kind="main" big hint="Enter" disabled={!ready || send.isPending} onClick={go}>
                        Save the verdict
                    </Button>
                )}
                {anew && test.finding !== null && (
                    <ButtonLink
                        kind="main"
                        className="min-h-14 px-5 text-[1.05rem]"
                        to={`/bench/findings/${test.finding}`}
                    >
                        Open its fault tree
                    </ButtonLink>
                )}
                {anew && (
                    <Button big disabled={!ready || send.isPending} onClick={go}>
                        Begin a new attempt
                    </Button>
                )}
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
            {test && <AttemptList attempts={test.attempts} />}
        </>
    );
}
