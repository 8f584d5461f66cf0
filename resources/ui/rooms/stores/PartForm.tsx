import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';

type Body = { title: string; place: string; one_time: boolean; effectivity: string[] | null };

/** A part number: what it is, where it lies, which tails it fits, and whether it is ever used twice. */
export function PartForm({ part, onClose }: { part: Schemas['StorePart'] | null; onClose: () => void }) {
    const navigate = useNavigate();
    const [number, setNumber] = useState(part?.number ?? '');
    const [title, setTitle] = useState(part?.title ?? '');
    const [place, setPlace] = useState(part?.place ?? '');
    const [oneTime, setOneTime] = useState(part?.oneTime ?? false);
    const [codes, setCodes] = useState(part?.effectivity?.replaceAll(',', '') ?? '');
    const send = useSend(
        (body: Body, headers) =>
            part
                ? take(api.POST('/api/parts/{number}', { params: { path: { number: part.number } }, body, headers }))
                : take(api.POST('/api/parts', { body: { number, ...body }, headers })),
        (room) => (part ? onClose() : void navigate(`/stores/parts/${room.part.number}`)),
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        const fits = codes.split(/[\s,]+/).filter((c) => c !== '');
        send.mutate({ title, place, one_time: oneTime, effectivity: fits.length === 0 ? null : fits });
    };
    return (
        <Dialog open onClose={onClose} title={part ? `Change ${part.number}` : 'Enter a part number'}>
            <form onSubmit={submit} className="space-y-4">
                {!part && (
                    <Field
                        label="Part number"
                        name="number"
                        autoComplete="off"
                        value={number}
                        onChange={(e) => setNumber(e.target.value.toUpperCase())}
                    />
                )}
                <Field label="What it is" name="title" autoComplete="off" value={title} onChange={(e) => setTitle(e.target.value)} />
                <Field label="Where it lies" name="place" autoComplete="off" value={place} onChange={(e) => setPlace(e.target.value)} />
                <Field
                    label="Fits"
                    name="effectivity"
                    autoComplete="off"
                    hint="Effectivity codes of the tails, as K1 K2; empty when it fits every tail."
                    value={codes}
                    onChange={(e) => setCodes(e.target.value)}
                />
                <label className="flex min-h-12 items-center gap-3 font-semibold">
                    <input
                        type="checkbox"
                        name="one_time"
                        className="size-6 accent-spruce"
                        checked={oneTime}
                        onChange={(e) => setOneTime(e.target.checked)}
                    />
                    Never used twice: a seal, packing, locking wire or pin
                </label>
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || number === '' || title === '' || place === ''}>
                    {part ? 'Keep the change' : 'Enter it'}
                </Button>
            </form>
        </Dialog>
    );
}
