import { useState } from 'react';
import { Field } from '../../../parts/Field';
import { ReadingField, type ReadingSpec, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

/** One reading against its limit. */
export function ReadStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const last = step.readings.filter((r) => r.stands).at(-1);
    const [note, setNote] = useState('');
    const [unusual, setUnusual] = useState(false);
    const gauge = spec.gauge;
    const [temp, setTemp] = useState('');
    const [seconds, setSeconds] = useState('');
    const save = () =>
        send.mutate({
            do: 'read',
            entry,
            tool,
            ...(gauge ? { entries: { temp } } : spec.exceeds && seconds !== '' ? { entries: { seconds } } : {}),
            ...(unusual && note.trim() !== '' ? { note } : {}),
        });
    if (spec.pending) {
        return (
            <p className="mt-5 text-soft" data-testid="pending">
                Its limit comes from what is read before: {spec.pending.join(', ')}.
            </p>
        );
    }
    return (
        <>
            {spec.from && (
                <p className="mt-3 text-soft">
                    Its limit comes from what was read before: {Object.values(spec.from).join(' to ')}.
                </p>
            )}
            <ReadingField
                card={card}
                step={step}
                spec={spec}
                entry={entry}
                onEntry={setEntry}
                tool={tool}
                onTool={setTool}
                onSave={save}
                onUnusual={setUnusual}
            />
            {gauge && (
                <Field
                    label="Temperature at the bottle, °C"
                    name="temp"
                    inputMode="decimal"
                    className="mt-3 max-w-xs"
                    hint="It is judged as at the bottle's reference temperature, and is the reading of its trend."
                    value={temp}
                    onChange={(e) => setTemp(e.target.value)}
                />
            )}
            {spec.exceeds && (
                <Field
                    label="Beyond the limit for, s"
                    name="seconds"
                    inputMode="decimal"
                    className="mt-3 max-w-xs"
                    hint="Only where it went beyond: it is recorded at once, and its table says what is inspected."
                    value={seconds}
                    onChange={(e) => setSeconds(e.target.value)}
                />
            )}
            {unusual && (
                <Field
                    label="Legal, and outside what is advised: what do you think of it?"
                    name="note"
                    className="mt-3 max-w-2xl"
                    value={note}
                    onChange={(e) => setNote(e.target.value)}
                />
            )}
            {last && last.verdict !== 'pass' && (
                <Kept>
                    Kept: <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Find out why, put it right
                    and read again, or raise a finding.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save the reading"
                hint="Enter"
                ready={entry !== '' && (!gauge || temp !== '')}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
