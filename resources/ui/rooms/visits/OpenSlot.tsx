import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { typed, useFields } from '../../parts/fields';

/** A time in a bay that is opened for whatever packs best into it. */
export function OpenSlot({ bay, onClose }: { bay: Schemas['BayView']; onClose: () => void }) {
    const { values: at, bind } = useFields({ start: '', end: '', hours: '', note: '' });
    const send = useSend(
        (body: { start: string; end: string; hours: number; note: string }, headers) =>
            take(api.POST('/api/bays/{id}/slots', { params: { path: { id: bay.id } }, body, headers })),
        onClose,
        { affects: touches.slots },
    );
    return (
        <FormDialog
            title={`A free slot in ${bay.name}`}
            action="Open it"
            ready={at.start !== '' && at.end !== '' && at.hours !== ''}
            send={send}
            onSend={() => send.mutate({ ...at, hours: typed(at.hours) })}
            onClose={onClose}
        >
            <Field label="First day" type="date" {...bind('start')} />
            <Field label="Last day" type="date" {...bind('end')} />
            <Field label="Hours of work" inputMode="decimal" {...bind('hours')} />
            <Field label="Note" {...bind('note')} />
        </FormDialog>
    );
}
