import { useState } from 'react';
import { Field } from '../../../parts/Field';
import { Scale } from '../../../parts/Scale';
import { drawn } from '../../../parts/scale';
import { unitLabel } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { Number1 } from './Number';
import { FromRecording } from './Stabilise';

type Spec = {
    point: string;
    unit: string;
    reference: string;
    limit: number;
    usual?: number;
    watch: number;
    partner?: { point: string };
    signal?: string;
};

/** A transition that is watched: the highest and the lowest that it shows count, what it settles at does not. */
export function TransitionStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [values, setValues] = useState<Record<string, string>>({});
    const [note, setNote] = useState('');
    const made = card.steps.find((s) => s.spec.id === spec.reference);
    const reference = made?.result.reference as number | undefined;
    const field = (id: string, label: string, first = false) => (
        <Number1
            label={label}
            name={id}
            unit={spec.unit}
            value={values[id] ?? ''}
            onValue={(v) => setValues((all) => ({ ...all, [id]: v }))}
            autoFocus={first}
        />
    );
    const wanted = ['high', 'low', ...(spec.partner ? ['partner'] : [])];
    const full = wanted.every((id) => (values[id] ?? '') !== '');
    const save = () =>
        full && send.mutate({ do: 'watch', entries: values, ...(note.trim() === '' ? {} : { note: note.trim() }) });
    const unusual = send.error?.message.startsWith('Legal, and unusual') === true;
    return (
        <>
            {reference !== undefined && (
                <>
                    <p className="mt-3 text-[1.1rem]">
                        Within{' '}
                        <b className="font-mono">
                            {spec.limit} {unitLabel(spec.unit)}
                        </b>{' '}
                        of the reference,{' '}
                        <b className="font-mono">
                            {reference} {unitLabel(spec.unit)}
                        </b>
                        , for {spec.watch} s after the switch. A flicker counts; what it settles at does not.
                    </p>
                    <Scale
                        limit={{ low: reference - spec.limit, high: reference + spec.limit }}
                        unit={unitLabel(spec.unit)}
                        value={null}
                        others={['high', 'low'].flatMap((id) => {
                            const value = drawn(values[id] ?? '');
                            return value === null ? [] : [{ name: id, value }];
                        })}
                    />
                </>
            )}
            <div className="flex flex-wrap gap-x-6">
                {field('high', 'Highest', true)}
                {field('low', 'Lowest')}
                {field('settled', 'Settled at (if noted)')}
                {spec.partner && field('partner', `${spec.partner.point}, at its farthest`)}
            </div>
            {unusual && (
                <Field
                    label="Legal, and beyond what is usual: what do you think of it?"
                    name="note"
                    autoFocus
                    className="mt-3 max-w-2xl"
                    value={note}
                    onChange={(e) => setNote(e.target.value)}
                />
            )}
            {step.result.verdict === 'fail' && (
                <Kept>Kept: {String(step.result.excursion)} from the reference, and beyond the limit.</Kept>
            )}
            <Keys send={send} says="Save what was seen" ready={full} onSave={save} onWrong={onWrong}>
                {spec.signal && <FromRecording send={send} />}
            </Keys>
        </>
    );
}
