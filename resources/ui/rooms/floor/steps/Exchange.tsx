import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { Field } from '../../../parts/Field';
import { State } from '../../../parts/State';
import { TagPick, type UnitTag } from '../../../parts/TagPick';
import { capital } from '../../../parts/words';
import { Reason } from '../Reason';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';

type Spec = { component: string; position: string; hardware?: { what: string; count: number }[] };

/** A unit comes off by its plate, with a tag and a place to go; then another goes on, with what goes over to it. */
export function ExchangeStep(props: StepProps) {
    const { card, step, onConflict } = props;
    const send = useStep({ card, step, onConflict });
    const [wrong, setWrong] = useState(false);
    const spec = step.spec as Spec;
    // A card that is only written has nothing that stands there yet.
    const { there, off } = step.exchange ?? { there: `The ${spec.component}`, off: null };
    return (
        <>
            <ol className="mt-4 max-w-2xl space-y-1 text-[1.05rem]" data-testid="exchange">
                <li>
                    <State
                        state={off ? 'clear' : there ? 'waiting' : 'watch'}
                        word={off ? 'Off' : there ? 'On' : 'Empty'}
                    />{' '}
                    {off ?? (there ? `${there} stands at ${spec.position}` : `nothing stands at ${spec.position}`)}
                </li>
            </ol>
            {there ? <Off {...props} send={send} /> : <On {...props} send={send} />}
            {off && (
                <p className="mt-4">
                    <Button kind="quiet" onClick={() => setWrong(true)}>
                        That was wrong: it did not come off
                    </Button>
                </p>
            )}
            {wrong && (
                <Reason
                    card={card}
                    step={step}
                    onConflict={onConflict}
                    title="It did not come off"
                    says="It stands again where it stood, with its counters; the first entry stays in the record."
                    asks="What was wrong with the entry"
                    action="It stands where it stood"
                    act="unit_back"
                    onClose={() => setWrong(false)}
                />
            )}
        </>
    );
}

type Half = StepProps & { send: ReturnType<typeof useStep> };

function useHardware(spec: Spec) {
    const [counts, setCounts] = useState<Record<string, string>>({});
    const all = spec.hardware ?? [];
    return {
        counts,
        counted: all.every((h) => /^\d+$/.test(counts[h.what] ?? '')),
        fields: (way: 'off' | 'on') =>
            all.map((h) => (
                <Field
                    key={h.what}
                    label={`${capital(h.what)} ${way}, of ${h.count}`}
                    name={h.what}
                    inputMode="numeric"
                    value={counts[h.what] ?? ''}
                    onChange={(e) => setCounts((c) => ({ ...c, [h.what]: e.target.value }))}
                />
            )),
    };
}

function Plate({ value, onChange }: { value: string; onChange: (serial: string) => void }) {
    return (
        <Field
            label="Its serial, from the plate"
            name="serial"
            autoFocus
            autoComplete="off"
            value={value}
            onChange={(e) => onChange(e.target.value)}
        />
    );
}

function Off({ step, send, onWrong }: Half) {
    const spec = step.spec as Spec;
    const [serial, setSerial] = useState('');
    const [tag, setTag] = useState<UnitTag | ''>('');
    const [why, setWhy] = useState('');
    const [to, setTo] = useState('');
    const { counts, counted, fields } = useHardware(spec);
    return (
        <>
            <div className="mt-4 grid max-w-2xl grid-cols-2 gap-3">
                <Plate value={serial} onChange={setSerial} />
                <TagPick tag={tag} onTag={setTag} />
                <Field label="Why it comes off" name="why" value={why} onChange={(e) => setWhy(e.target.value)} />
                <Field label="Where it goes" name="to" value={to} onChange={(e) => setTo(e.target.value)} />
                {fields('off')}
            </div>
            <Keys
                send={send}
                says="It is off"
                ready={serial !== '' && tag !== '' && why !== '' && to !== '' && counted}
                onSave={() =>
                    send.mutate({ do: 'unit_off', entry: serial, note: why, entries: { ...counts, tag, to } })
                }
                onWrong={onWrong}
            />
        </>
    );
}

function On({ step, send, onWrong }: Half) {
    const spec = step.spec as Spec;
    const [serial, setSerial] = useState('');
    const { counts, counted, fields } = useHardware(spec);
    const stored = step.exchange?.stored ?? [];
    return (
        <>
            <p className="mt-3 text-soft">
                {stored.length === 0
                    ? `No serviceable ${spec.component} is in the store.`
                    : `In the store, serviceable: ${stored.join(', ')}.`}
            </p>
            <div className="mt-3 grid max-w-2xl grid-cols-2 gap-3">
                <div className="col-span-2">
                    <Plate value={serial} onChange={setSerial} />
                </div>
                {fields('on')}
            </div>
            <Keys
                send={send}
                says="It is on"
                ready={serial !== '' && counted}
                onSave={() => send.mutate({ do: 'unit_on', entry: serial, entries: counts })}
                onWrong={onWrong}
            />
        </>
    );
}
