import { type ReactNode, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useFleet, useSend, useStored } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Pick } from '../../parts/Pick';
import { isSigned, type Signed, StampAndPin, unsigned } from '../../parts/StampAndPin';
import { TagPick, type UnitTag } from '../../parts/TagPick';
import type { Fitted } from './Components';

type MoveFormProps = {
    title: string;
    action: string;
    /** The component that moves; 0 while none is chosen. */
    id: number;
    /** The aircraft it goes to; null for the store. */
    mark: string | null;
    place: ReturnType<typeof useFields<{ position: string; reason: string }>>;
    hint?: string;
    onClose: () => void;
    children: ReactNode;
};

/** Where it goes, why, and whose signature stands for it. */
function MoveForm({ title, action, id, mark, place, hint, onClose, children }: MoveFormProps) {
    const [signed, setSigned] = useState(unsigned);
    const [tag, setTag] = useState<UnitTag | ''>('');
    const stored = mark === null;
    const send = useSend(
        (body: { mark: string | null; position: string; reason: string; tag?: UnitTag } & Signed, headers) =>
            take(api.POST('/api/components/{id}/move', { params: { path: { id } }, body, headers })),
        onClose,
    );
    const { values, bind } = place;
    return (
        <FormDialog
            title={title}
            action={action}
            ready={
                id !== 0 &&
                values.position !== '' &&
                values.reason !== '' &&
                (!stored || tag !== '') &&
                isSigned(signed)
            }
            send={send}
            onSend={() => send.mutate({ mark, ...values, ...(tag === '' ? {} : { tag }), ...signed })}
            onClose={onClose}
        >
            {children}
            <Field label={stored ? 'Shelf' : 'Position'} hint={hint} {...bind('position')} />
            {stored && <TagPick tag={tag} onTag={setTag} />}
            <Field label="Why" {...bind('reason')} />
            <StampAndPin signed={signed} onSigned={setSigned} />
        </FormDialog>
    );
}

export function Move({ component, onClose }: { component: Fitted; onClose: () => void }) {
    const marks = useFleet().data?.rows.map((r) => r.mark) ?? [];
    const [mark, setMark] = useState('');
    const place = useFields({ position: '', reason: '' });
    return (
        <MoveForm
            title={`Move ${component.title} ${component.serial}`}
            action={mark === '' ? 'Take it off' : `Move it to ${mark}`}
            id={component.id}
            mark={mark === '' ? null : mark}
            place={place}
            onClose={onClose}
        >
            <p className="text-soft">
                Its counters, and everything done to it, go with it: {component.counters || 'calendar only'}.
            </p>
            <Pick
                label="Where to"
                name="mark"
                big
                value={mark}
                onChange={(to) => {
                    setMark(to);
                    place.set({ position: to === '' ? '' : component.position });
                }}
            >
                <option value="">into the store</option>
                {[...marks].sort().map((m) => (
                    <option key={m}>{m}</option>
                ))}
            </Pick>
        </MoveForm>
    );
}

export function Fit({ aircraft, onClose }: { aircraft: Schemas['AircraftView']; onClose: () => void }) {
    const stored = useStored().data ?? [];
    const [id, setId] = useState('0');
    const place = useFields({ position: '', reason: '' });
    return (
        <MoveForm
            title={`Fit a component to ${aircraft.mark}`}
            action="Fit it"
            id={Number(id)}
            mark={aircraft.mark}
            place={place}
            hint="for example engine 2"
            onClose={onClose}
        >
            <Pick label="From the store" name="component" big value={id} onChange={setId}>
                <option value="0">choose one</option>
                {stored.map((c) => (
                    <option key={c.id} value={c.id} disabled={!c.serviceable}>
                        {c.title} {c.serial}, {c.counters || 'calendar only'}, {c.place}
                        {c.serviceable ? '' : `, ${c.tagged}`}
                    </option>
                ))}
            </Pick>
        </MoveForm>
    );
}

/** What the tag of a unit in the store says, once it has been looked at. */
export function Retag({ unit, onClose }: { unit: Schemas['StoredView']; onClose: () => void }) {
    const place = useFields({ position: unit.place ?? '', reason: '' });
    return (
        <MoveForm
            title={`Change the tag of ${unit.title} ${unit.serial}`}
            action="Change the tag"
            id={unit.id}
            mark={null}
            place={place}
            onClose={onClose}
        >
            <p className="text-soft">
                Now: {unit.tagged}
                {unit.tagWhy ? `, ${unit.tagWhy}` : ''}. What it was worked under stands on its own paper.
            </p>
        </MoveForm>
    );
}
