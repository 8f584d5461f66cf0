import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { BreakOff } from '../BreakOff';
import { ReadingField, type ReadingSpec, useTool } from '../ReadingField';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';
import { Kept } from './Kept';
import { Ring, useHeld } from './Ring';

type TestSpec = { setup: string[]; restore: string[]; hold: { seconds: number; what: string }; reading: ReadingSpec };

/** An operational test: set up, hold, read; a reading that fails begins it anew. */
export function TestStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as TestSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.reading.tool_kind ?? '');
    const running = step.startedAt !== null;
    const held = useHeld(step);
    const over = running && held >= spec.hold.seconds + 0.5;
    const ready = useDeliberate();
    const start = () => ready && !running && !send.isPending && send.mutate({ do: 'start' });
    const save = () => send.mutate({ do: 'read', entry, tool });
    useEnter(start, !running);
    const last = step.readings.filter((r) => r.stands).at(-1);
    return (
        <>
            <div className="mt-4 flex flex-wrap items-center gap-8">
                <Ring held={Math.min(held, spec.hold.seconds)} of={spec.hold.seconds} />
                <div>
                    <h2 className="font-semibold">Set up</h2>
                    <ol className="mb-2 list-decimal pl-5">
                        {spec.setup.map((s) => (
                            <li key={s}>{s}</li>
                        ))}
                    </ol>
                    <h2 className="font-semibold">Hold for {spec.hold.seconds} s</h2>
                    <p>{spec.hold.what}</p>
                </div>
            </div>
            {last && last.verdict !== 'pass' && (
                <Kept>
                    The last try read <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Put it right,
                    then hold again.
                </Kept>
            )}
            {over && (
                <ReadingField
                    card={card}
                    step={step}
                    spec={spec.reading}
                    entry={entry}
                    onEntry={setEntry}
                    tool={tool}
                    onTool={setTool}
                    onSave={save}
                />
            )}
            <Trouble error={send.error} />
            <div className="mt-6 flex gap-3">
                {!running && (
                    <Button kind="main" big hint="Enter" onClick={start} disabled={!ready || send.isPending}>
                        Set up; start the hold
                    </Button>
                )}
                {over && (
                    <Button kind="main" big hint="Enter" disabled={entry === '' || send.isPending} onClick={save}>
                        Save the reading
                    </Button>
                )}
                {running && <BreakOff card={card} step={step} onConflict={onConflict} />}
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
            {over && <p className="mt-4 text-soft">Afterwards: {spec.restore.join('; ')}.</p>}
            <p className="mt-4">
                <Link className="underline underline-offset-4" to="/bench">
                    All tests and rigging of the open cards, on the Bench
                </Link>
            </p>
        </>
    );
}
