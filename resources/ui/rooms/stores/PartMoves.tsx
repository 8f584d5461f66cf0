import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields, whole } from '../../parts/fields';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

type Room = Schemas['PartRoom'];

/** Pieces that came: batch, shelf life, the paper they came with, and what they were ordered by. */
export function GoodsIn({ room, onClose }: { room: Room; onClose: () => void }) {
    const first = room.orders[0];
    const [order, setOrder] = useState(first?.id ?? 0);
    const { values: v, bind } = useFields({
        quantity: String(first?.quantity ?? ''),
        batch: '',
        expires: '',
        paper: '',
    });
    const send = useSend(
        (
            body: { batch: string; quantity: number; expires: string | null; paper: string; order: number | null },
            headers,
        ) =>
            take(
                api.POST('/api/parts/{number}/goods', {
                    params: { path: { number: room.part.number } },
                    body,
                    headers,
                }),
            ),
        onClose,
        { affects: touches.parts },
    );
    return (
        <FormDialog
            title={`${room.part.number} ${room.part.title} came in`}
            action="Take it in"
            ready={v.batch !== '' && v.paper !== '' && whole(v.quantity)}
            send={send}
            onSend={() =>
                send.mutate({ ...v, quantity: Number(v.quantity), expires: v.expires || null, order: order || null })
            }
            onClose={onClose}
        >
            {room.orders.length > 0 && (
                <Pick big label="Ordered as" name="order" value={order} onChange={(id) => setOrder(Number(id))}>
                    {room.orders.map((o) => (
                        <option key={o.id} value={o.id}>
                            {o.quantity}, expected {short(o.expected)}
                        </option>
                    ))}
                    <option value={0}>not ordered here</option>
                </Pick>
            )}
            <div className="grid grid-cols-2 gap-4">
                <Field label="Batch on the label" {...bind('batch')} />
                <Field label="Pieces" inputMode="numeric" {...bind('quantity')} />
            </div>
            <Field label="Shelf life until" type="date" hint="Leave it empty when it has none." {...bind('expires')} />
            <Field label="Paper it came with" {...bind('paper')} />
        </FormDialog>
    );
}

/** Pieces on their way. */
export function Order({ room, onClose }: { room: Room; onClose: () => void }) {
    const { values: v, bind } = useFields({ quantity: '', expected: '' });
    const send = useSend(
        (body: { quantity: number; expected: string }, headers) =>
            take(
                api.POST('/api/parts/{number}/orders', {
                    params: { path: { number: room.part.number } },
                    body,
                    headers,
                }),
            ),
        onClose,
        { affects: touches.parts },
    );
    return (
        <FormDialog
            title={`${room.part.number} ${room.part.title} is ordered`}
            action="Enter the order"
            ready={v.expected !== '' && whole(v.quantity)}
            send={send}
            onSend={() => send.mutate({ ...v, quantity: Number(v.quantity) })}
            onClose={onClose}
        >
            <div className="grid grid-cols-2 gap-4">
                <Field label="Pieces" inputMode="numeric" {...bind('quantity')} />
                <Field label="Expected on" type="date" {...bind('expected')} />
            </div>
        </FormDialog>
    );
}

const asks = {
    counted: { name: 'counted', label: 'Pieces there', why: 'Why it differs' },
    back: { name: 'came back unused', label: 'Pieces that came back', why: 'From where' },
    scrapped: { name: 'scrapped', label: 'Pieces scrapped', why: 'Why' },
} as const;

/** A batch was counted, or pieces of it came back or were scrapped. */
export function MoveBatch({ batch, onClose }: { batch: Schemas['StoreBatch']; onClose: () => void }) {
    const [what, setWhat] = useState<keyof typeof asks>('counted');
    const { values: v, bind } = useFields({ quantity: '', why: '' });
    const send = useSend(
        (body: { do: keyof typeof asks; quantity: number; why: string }, headers) =>
            take(api.POST('/api/part-batches/{id}/moves', { params: { path: { id: batch.id } }, body, headers })),
        onClose,
        { affects: touches.parts },
    );
    return (
        <FormDialog
            title={`Batch ${batch.batch}`}
            action="Enter it"
            ready={v.why !== '' && whole(v.quantity)}
            send={send}
            onSend={() => send.mutate({ do: what, quantity: Number(v.quantity), why: v.why })}
            onClose={onClose}
        >
            <p className="text-soft">
                {batch.quantity} in the store, {batch.taken} with aircraft.
            </p>
            <Choice
                label="What happened"
                options={(Object.keys(asks) as (keyof typeof asks)[]).map((value) => ({
                    value,
                    name: asks[value].name,
                }))}
                value={what}
                onChange={setWhat}
            />
            <Field label={asks[what].label} inputMode="numeric" {...bind('quantity')} />
            <Field label={asks[what].why} {...bind('why')} />
        </FormDialog>
    );
}
