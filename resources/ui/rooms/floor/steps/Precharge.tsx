import { useState } from 'react';
import { ReadingField, type ReadingSpec, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

/** Where a falling gauge drops away: read by eye, or found in the readings as they fell. */
export function PrechargeStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [fall, setFall] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const save = () => send.mutate({ do: 'read', entry, tool, ...(fall.trim() === '' ? {} : { entries: { fall } }) });
    const last = step.readings.filter((r) => r.stands).at(-1);
    return (
        <>
            <p className="mt-3 text-soft">
                Work the system until the gauge, which fell a little each time, drops to nought at once. The last
                reading before that is the pre-charge.
            </p>
            <ReadingField
                card={card}
                step={step}
                spec={spec}
                entry={entry}
                onEntry={setEntry}
                tool={tool}
                onTool={setTool}
                onSave={save}
            />
            <label className="mt-3 block max-w-xl">
                <span className="mb-1 block font-semibold">or every reading as it fell, one after the other</span>
                <input
                    name="fall"
                    value={fall}
                    inputMode="text"
                    onChange={(e) => setFall(e.target.value)}
                    placeholder="62 57 52 47 0"
                    className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3 font-mono"
                />
            </label>
            {last && last.verdict !== 'pass' && (
                <Kept>
                    Kept: <b className="font-mono">{last.value}</b> {last.unit}, {last.said}.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save the pre-charge"
                hint="Enter"
                ready={entry !== '' || fall.trim() !== ''}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
