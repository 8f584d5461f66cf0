import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';

/** A time in a bay that is opened for whatever packs best into it. */
export function OpenSlot({ bay, onClose }: { bay: Schemas['BayView']; onClose: () => void }) {
    const [start, setStart] = useState('');
    const [end, setEnd] = useState('');
    const [hours, setHours] = useState('');
    const [note, setNote] = useState('');
    const send = useSend(
        (body: { start: string; end: string; hours: number; note: string }, headers) =>
            take(api.POST('/api/bays/{id}/slots', { params: { path: { id: bay.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ start, end, hours: Number(hours.replace(',', '.')), note });
    };
    return (
        <Dialog open onClose={onClose} title={`A free slot in ${bay.name}`}>
            <form onSubmit={submit} className="mt-3 space-y-3">
                <Field
                    label="First day"
                    name="start"
                    type="date"
                    required
                    value={start}
                    onChange={(e) => setStart(e.target.value)}
                />
                <Field
                    label="Last day"
                    name="end"
                    type="date"
                    required
                    value={end}
                    onChange={(e) => setEnd(e.target.value)}
                />
                <Field
                    label="Hours of work"
                    name="hours"
                    inputMode="decimal"
                    required
                    value={hours}
                    onChange={(e) => setHours(e.target.value)}
                />
                <Field label="Note" name="note" value={note} onChange={(e) => setNote(e.target.value)} />
                <Trouble error={send.error} />
                <Button kind="main" type="submit" disabled={send.isPending}>
                    Open it
                </Button>
            </form>
        </Dialog>
    );
}
