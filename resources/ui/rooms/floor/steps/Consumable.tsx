import { useState } from 'react';
import { short } from '../../../parts/dates';
import { Field } from '../../../parts/Field';
import { State } from '../../../parts/State';
import { unitLabel } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';

type Spec = { product: string; system: string; unit: string; min?: number; max?: number; drained?: boolean };

/** What goes into a system: of which batch, how much, and how much came out before. */
export function ConsumableStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as Spec;
    const send = useStep({ card, step, onConflict });
    const [batch, setBatch] = useState('');
    const [entry, setEntry] = useState('');
    const [drained, setDrained] = useState('');
    const all = card.products.filter((p) => p.specification === spec.product);
    const none = /^0([.,]0*)?$/.test(entry.trim());
    const unit = unitLabel(spec.unit);
    const limits = [
        !spec.min ? '' : `at least ${spec.min} ${unit}`,
        spec.max === undefined ? '' : `at most ${spec.max} ${unit}`,
    ].filter(Boolean);
    return (
        <>
            <p className="mt-4 text-[1.15rem]">
                <b>{spec.product}</b> into {spec.system}
                {limits.length > 0 && <span className="text-soft"> · {limits.join(', ')}</span>}
            </p>
            <div className="mt-3 grid max-w-2xl gap-2" role="radiogroup" aria-label="Batch">
                {all.map((b) => {
                    const never = b.never.includes(spec.system);
                    return (
                        <label
                            key={b.batch}
                            className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${
                                batch === b.batch ? 'border-ink' : 'border-rule'
                            }`}
                        >
                            <input
                                type="radio"
                                name="batch"
                                value={b.batch}
                                className="size-6 shrink-0 accent-spruce"
                                checked={batch === b.batch}
                                onChange={() => setBatch(b.batch)}
                            />
                            <b className="font-mono">{b.batch}</b>
                            <span>{b.title}</span>
                            <span className={b.why || never ? 'text-rust' : 'text-soft'}>
                                {never ? (
                                    <State state="stop" word={`never meets ${spec.system}`} />
                                ) : (
                                    <>
                                        {b.left}
                                        {b.expires && `, good until ${short(b.expires)}`}
                                        {b.why && `; ${b.why}`}
                                    </>
                                )}
                            </span>
                        </label>
                    );
                })}
                {all.length === 0 && card.id !== 0 && (
                    <p>
                        <State state="watch" word="None" /> of {spec.product} is in the store.
                    </p>
                )}
            </div>
            <div className="mt-3 grid max-w-2xl grid-cols-2 gap-3">
                {spec.drained && (
                    <Field
                        label={`Drained, ${unit}`}
                        inputMode="decimal"
                        name="drained"
                        value={drained}
                        onChange={(e) => setDrained(e.target.value)}
                    />
                )}
                <Field
                    label={`Put in, ${unit}`}
                    inputMode="decimal"
                    name="entry"
                    value={entry}
                    onChange={(e) => setEntry(e.target.value)}
                />
            </div>
            <Keys
                send={send}
                says={none ? 'Nothing was needed' : 'It is in'}
                ready={entry !== '' && (batch !== '' || none) && (!spec.drained || drained !== '')}
                onSave={() => send.mutate({ do: 'fill', entry, entries: { batch, drained } })}
                onWrong={onWrong}
            />
        </>
    );
}
