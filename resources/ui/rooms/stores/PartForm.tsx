import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Check } from '../../parts/Check';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Pick } from '../../parts/Pick';

type Body = {
    title: string;
    place: string;
    one_time: boolean;
    effectivity: string[] | null;
    specification: string | null;
    unit: 'mL' | 'kg' | null;
    never: string[] | null;
};

/** A part number: what it is, where it lies, which tails it fits, and whether it is ever used twice. */
export function PartForm({ part, onClose }: { part: Schemas['StorePart'] | null; onClose: () => void }) {
    const navigate = useNavigate();
    const [oneTime, setOneTime] = useState(part?.oneTime ?? false);
    const { values: v, bind } = useFields({
        number: part?.number ?? '',
        title: part?.title ?? '',
        place: part?.place ?? '',
        fits: part?.effectivity?.replaceAll(',', '') ?? '',
        specification: part?.specification ?? '',
        never: part?.never.join(', ') ?? '',
    });
    const [unit, setUnit] = useState(part?.unit ?? 'mL');
    const send = useSend(
        (body: Body, headers) =>
            part
                ? take(api.POST('/api/parts/{number}', { params: { path: { number: part.number } }, body, headers }))
                : take(api.POST('/api/parts', { body: { number: v.number.toUpperCase(), ...body }, headers })),
        (room) => (part ? onClose() : void navigate(`/stores/parts/${room.part.number}`)),
        { affects: touches.parts },
    );
    const never = v.never.split(',').flatMap((s) => (s.trim() === '' ? [] : [s.trim()]));
    const codes = v.fits.split(/[\s,]+/).filter((c) => c !== '');
    return (
        <FormDialog
            title={part ? `Change ${part.number}` : 'Enter a part number'}
            action={part ? 'Save the change' : 'Enter it'}
            ready={v.number !== '' && v.title !== '' && v.place !== ''}
            send={send}
            onSend={() =>
                send.mutate({
                    title: v.title,
                    place: v.place,
                    one_time: oneTime,
                    effectivity: codes.length === 0 ? null : codes,
                    specification: v.specification === '' ? null : v.specification,
                    unit: v.specification === '' ? null : unit === 'kg' ? 'kg' : 'mL',
                    never: never.length === 0 ? null : never,
                })
            }
            onClose={onClose}
        >
            {!part && <Field label="Part number" {...bind('number')} />}
            <Field label="What it is" {...bind('title')} />
            <Field label="Where it lies" {...bind('place')} />
            <Field
                label="Fits"
                hint="Effectivity codes of the tails, as K1 K2; empty when it fits every tail."
                {...bind('fits')}
            />
            <Field
                label="Specification"
                hint="Of a fluid, a grease, a sealant or a gas; empty for pieces."
                {...bind('specification')}
            />
            {v.specification !== '' && (
                <>
                    <Pick label="Counted in" name="unit" big value={unit} onChange={setUnit}>
                        <option value="mL">mL</option>
                        <option value="kg">kg</option>
                    </Pick>
                    <Field
                        label="Must never meet"
                        hint="Systems, with commas between them, as oxygen."
                        {...bind('never')}
                    />
                </>
            )}
            <Check name="one_time" checked={oneTime} onChange={setOneTime}>
                Never used twice: a seal, packing, locking wire or pin
            </Check>
        </FormDialog>
    );
}
