import { useState } from 'react';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { useEnterDamage, useLook } from '../../api/useQueue';
import { Check } from '../../parts/Check';
import type { View } from '../../parts/Drawing';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { typed, useFields } from '../../parts/fields';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

export type DamageRow = Schemas['DamageView'];
export type Spot = { view: View; x: number; y: number };

const sizes = { length: '', depth: '', edge: '', fastener: '' };
const number = (v: string): number | null => (v.trim() === '' ? null : (typed(v) ?? null));
const measured = (v: typeof sizes) => ({
    length: number(v.length) ?? 0,
    depth: number(v.depth),
    edge: number(v.edge),
    fastener: number(v.fastener),
});

type Bind = ReturnType<typeof useFields<typeof sizes>>['bind'];

/** As it was measured, in millimetres; what was not measured stays empty. */
function Sizes({ bind, first }: { bind: Bind; first?: boolean }) {
    return (
        <div className="grid grid-cols-2 gap-3">
            <Field label="Length, mm" inputMode="decimal" autoFocus={first} {...bind('length')} />
            <Field label="Depth, mm" inputMode="decimal" {...bind('depth')} />
            <Field label="To the next edge, mm" inputMode="decimal" {...bind('edge')} />
            <Field label="To the next fastener, mm" inputMode="decimal" {...bind('fastener')} />
        </div>
    );
}

export function NewDamage({
    mark,
    card,
    spot,
    kinds,
    onClose,
}: {
    mark: string;
    card: number;
    spot: Spot;
    kinds: string[];
    onClose: (done: boolean) => void;
}) {
    const [kind, setKind] = useState('');
    const [another, setAnother] = useState(false);
    const size = useFields(sizes);
    const limits = useFields(sizes);
    const more = useFields({ place: '', source: '', everyFh: '', everyDays: '' });
    const send = useEnterDamage(card, more.values.place, () => onClose(true));
    const allowed = Object.fromEntries(
        Object.entries(limits.values).flatMap(([k, v]) => (number(v) === null ? [] : [[k, number(v)]])),
    ) as Record<string, number>;
    return (
        <FormDialog
            title={`A damage on ${mark}`}
            action="Enter it"
            ready={kind !== '' && more.values.place !== '' && size.values.length !== ''}
            send={send}
            onSend={() =>
                send.mutate({
                    kind: kind as Asked<'enterDamage'>['kind'],
                    place: more.values.place,
                    spot,
                    ...measured(size.values),
                    limits: allowed,
                    source: more.values.source,
                    every_fh: number(more.values.everyFh),
                    every_days: number(more.values.everyDays),
                    another,
                })
            }
            onClose={() => onClose(false)}
        >
            <div className="grid grid-cols-2 gap-3">
                <Pick label="What it is" name="kind" big value={kind} onChange={setKind}>
                    <option value="">choose one</option>
                    {kinds.map((k) => (
                        <option key={k}>{k}</option>
                    ))}
                </Pick>
                <Field label="Where" {...more.bind('place')} />
            </div>
            <Sizes bind={size.bind} />
            <fieldset>
                <legend className="font-semibold">What the approved data allows there</legend>
                <div className="mt-1 grid grid-cols-2 gap-3">
                    <Field label="Length at most, mm" inputMode="decimal" {...limits.bind('length')} />
                    <Field label="Depth at most, mm" inputMode="decimal" {...limits.bind('depth')} />
                    <Field label="Edge at least, mm" inputMode="decimal" {...limits.bind('edge')} />
                    <Field label="Fastener at least, mm" inputMode="decimal" {...limits.bind('fastener')} />
                    <Field label="Passage" {...more.bind('source')} />
                </div>
            </fieldset>
            <div className="grid grid-cols-2 gap-3">
                <Field label="Looked at again every, flight hours" inputMode="decimal" {...more.bind('everyFh')} />
                <Field label="and every, days" inputMode="numeric" {...more.bind('everyDays')} />
            </div>
            <Check name="another" checked={another} onChange={setAnother}>
                It is none of those that lie near
            </Check>
        </FormDialog>
    );
}

export function LookAgain({
    mark,
    damage,
    card,
    onClose,
}: {
    mark: string;
    damage: DamageRow;
    card: number | null;
    onClose: () => void;
}) {
    const size = useFields(sizes);
    const [note, setNote] = useState('');
    const send = useLook(damage, card, onClose);
    return (
        <FormDialog
            title={`${damage.number} on ${mark}, looked at again`}
            action="Save the look"
            ready={size.values.length !== ''}
            send={send}
            onSend={() => send.mutate({ ...measured(size.values), card, note })}
            onClose={onClose}
        >
            <p className="text-soft">
                Last time: {damage.size}. {damage.allowed}
            </p>
            <Sizes bind={size.bind} first />
            <Field label="A word" name="note" value={note} onChange={(e) => setNote(e.target.value)} />
        </FormDialog>
    );
}

export function Settle({ mark, damage, onClose }: { mark: string; damage: DamageRow; onClose: () => void }) {
    const [how, setHow] = useState<'blended' | 'repaired' | 'mistake'>('repaired');
    const [note, setNote] = useState('');
    const send = useSend(
        (body: Asked<'settleDamage'>, headers) =>
            take(api.POST('/api/damages/{id}/settle', { params: { path: { id: damage.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={`${damage.number} on ${mark}`}
            action="Save it"
            ready={note.trim().length > 2}
            send={send}
            onSend={() => send.mutate({ how, note })}
            onClose={onClose}
        >
            <Choice
                big
                label="What became of it"
                value={how}
                options={[
                    { value: 'repaired', name: 'repaired' },
                    { value: 'blended', name: 'blended out' },
                    { value: 'mistake', name: 'it was none' },
                ]}
                onChange={setHow}
            />
            <Field
                label={how === 'mistake' ? 'Why it was none' : 'By which repair, on which card'}
                name="note"
                autoFocus
                value={note}
                onChange={(e) => setNote(e.target.value)}
            />
        </FormDialog>
    );
}
