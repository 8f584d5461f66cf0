import { useState } from 'react';
import { Field } from '../../../parts/Field';
import { band, within } from '../../../parts/scale';
import { AttemptList, testOf } from '../TestBanner';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';

type Condition = { id: string; title: string; unit?: string; min?: number; max?: number };

/** An attempt at a test is begun: under which conditions, who is where, the limits and the words that mean stop. */
export function AttemptStep({ card, step, onConflict }: StepProps) {
    const conditions = (step.spec.conditions ?? []) as Condition[];
    const send = useStep({ card, step, onConflict });
    const test = testOf(card, step);
    const [entries, setEntries] = useState<Record<string, string>>({});
    const [note, setNote] = useState('');
    const ready = conditions.every((c) => (entries[c.id] ?? '').trim() !== '');
    const save = () => send.mutate({ do: 'begin', entries, ...(note.trim() === '' ? {} : { note }) });
    return (
        <>
            {test && (test.limits.length > 0 || test.stop || test.inspect.length > 0) && (
                <dl className="mt-4 grid max-w-2xl grid-cols-[9rem_1fr] gap-x-4 gap-y-1 rounded-lg border-2 border-ink bg-sheet px-4 py-3">
                    {test.stop && (
                        <>
                            <dt className="font-semibold">Stop on</dt>
                            <dd className="font-mono text-[1.15rem] font-bold">{test.stop}</dd>
                        </>
                    )}
                    {test.limits.length > 0 && (
                        <>
                            <dt className="font-semibold">Watch</dt>
                            <dd>{test.limits.join('; ')}</dd>
                        </>
                    )}
                    {test.inspect.length > 0 && (
                        <>
                            <dt className="font-semibold">Broken off</dt>
                            <dd>Put everything back, then inspect: {test.inspect.join('; ')}</dd>
                        </>
                    )}
                </dl>
            )}
            <form
                className="mt-4 grid max-w-2xl grid-cols-2 gap-4"
                onSubmit={(e) => {
                    e.preventDefault();
                    ready && save();
                }}
            >
                {conditions.map((c, i) => (
                    <Field
                        key={c.id}
                        label={c.unit ? `${c.title}, ${c.unit}` : c.title}
                        name={c.id}
                        autoFocus={i === 0}
                        inputMode={c.unit ? 'decimal' : 'text'}
                        hint={within(band({ kind: 'range', unit: c.unit ?? '', min: c.min, max: c.max }))}
                        value={entries[c.id] ?? ''}
                        onChange={(e) => setEntries((all) => ({ ...all, [c.id]: e.target.value }))}
                    />
                ))}
                <Field label="Remark" name="note" value={note} onChange={(e) => setNote(e.target.value)} />
                <button type="submit" className="hidden" aria-hidden="true" tabIndex={-1} />
            </form>
            <Keys send={send} says="Begin the attempt" ready={ready} onSave={save} />
            {test && <AttemptList attempts={test.attempts} />}
        </>
    );
}
