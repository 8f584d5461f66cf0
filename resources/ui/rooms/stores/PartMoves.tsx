import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

type Room = Schemas['PartRoom'];

/** Pieces that came: batch, shelf life, the paper they came with, and what they were ordered by. */
export function GoodsIn({ room, onClose }: { room: Room; onClose: () => void }) {
    const [order, setOrder] = useState(room.orders[0]?.id ?? 0);
    const [quantity, setQuantity] = useState(String(room.orders[0]?.quantity ?? ''));
    const [batch, setBatch] = useState('');
    const [expires, setExpires] = useState('');
    const [paper, setPaper] = useState('');
    const send = useSend(
        (body: { batch: string; quantity: number; expires: string | null; paper: string; order: number | null }, headers) =>
            take(api.POST('/api/parts/{number}/goods', { params: { path: { number: room.part.number } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ batch, quantity: Number(quantity), expires: expires || null, paper, order: order || null });
    };
    return (
        <Dialog open onClose={onClose} title={`${room.part.number} ${room.part.title} came in`}>
            <form onSubmit={submit} className="space-y-4">
                {room.orders.length > 0 && (
                    <Pick big label="Ordered as" name="order" value={order} onChange={(v) => setOrder(Number(v))}>
                        {room.orders.map((o) => (
                            <option key={o.id} value={o.id}>
                                {o.quantity}, expected {o.expected}
                            </option>
                        ))}
                        <option value={0}>not ordered here</option>
                    </Pick>
                )}
                <div className="grid grid-cols-2 gap-4">
                    <Field
                        label="Batch on the label"
                        name="batch"
                        autoComplete="off"
                        value={batch}
                        onChange={(e) => setBatch(e.target.value)}
                    />
                    <Field
                        label="Pieces"
                        name="quantity"
                        inputMode="numeric"
                        value={quantity}
                        onChange={(e) => setQuantity(e.target.value)}
                    />
                </div>
                <Field
                    label="Shelf life until"
                    name="expires"
                    type="date"
                    hint="Leave it empty when it has none."
                    value={expires}
                    onChange={(e) => setExpires(e.target.value)}
                />
                <Field
                    label="Paper it came with"
                    name="paper"
                    autoComplete="off"
                    value={paper}
                    onChange={(e) => setPaper(e.target.value)}
                />
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || batch === '' || paper === '' || !/^\d+$/.test(quantity)}>
                    Take it in
                </Button>
            </form>
        </Dialog>
    );
}

/** Pieces on their way. */
export function Order({ room, onClose }: { room: Room; onClose: () => void }) {
    const [quantity, setQuantity] = useState('');
    const [expected, setExpected] = useState('');
    const send = useSend(
        (body: { quantity: number; expected: string }, headers) =>
            take(api.POST('/api/parts/{number}/orders', { params: { path: { number: room.part.number } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ quantity: Number(quantity), expected });
    };
    return (
        <Dialog open onClose={onClose} title={`${room.part.number} ${room.part.title} is ordered`}>
            <form onSubmit={submit} className="space-y-4">
                <div className="grid grid-cols-2 gap-4">
                    <Field
                        label="Pieces"
                        name="quantity"
                        inputMode="numeric"
                        value={quantity}
                        onChange={(e) => setQuantity(e.target.value)}
                    />
                    <Field label="Expected on" name="expected" type="date" value={expected} onChange={(e) => setExpected(e.target.value)} />
                </div>
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || expected === '' || !/^\d+$/.test(quantity)}>
                    Enter the order
                </Button>
            </form>
        </Dialog>
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
    const [quantity, setQuantity] = useState('');
    const [why, setWhy] = useState('');
    const send = useSend(
        (body: { do: keyof typeof asks; quantity: number; why: string }, headers) =>
            take(api.POST('/api/part-batches/{id}/moves', { params: { path: { id: batch.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ do: what, quantity: Number(quantity), why });
    };
    return (
        <Dialog open onClose={onClose} title={`Batch ${batch.batch}`}>
            <form onSubmit={submit} className="space-y-4">
                <p className="text-soft">
                    {batch.quantity} in the store, {batch.taken} with aircraft.
                </p>
                <Choice
                    label="What happened"
                    options={(Object.keys(asks) as (keyof typeof asks)[]).map((value) => ({ value, name: asks[value].name }))}
                    value={what}
                    onChange={setWhat}
                />
                <Field
                    label={asks[what].label}
                    name="quantity"
                    inputMode="numeric"
                    value={quantity}
                    onChange={(e) => setQuantity(e.target.value)}
                />
                <Field label={asks[what].why} name="why" autoComplete="off" value={why} onChange={(e) => setWhy(e.target.value)} />
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || why === '' || !/^\d+$/.test(quantity)}>
                    Enter it
                </Button>
            </form>
        </Dialog>
    );
}
