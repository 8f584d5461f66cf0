import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { usePart, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { PartForm } from './PartForm';
import { GoodsIn, MoveBatch, Order } from './PartMoves';
import { storeTabs } from './tabs';

type Room = Schemas['PartRoom'];

/** What is known of a part number, in a line. */
const about = (p: Room['part']): string =>
    [
        `${p.stock} usable, ${p.reserved} reserved`,
        p.place,
        `fits ${p.effectivity ?? 'every tail'}`,
        p.oneTime ? 'never used twice' : '',
        p.specification ? `${p.specification}, in ${p.unit}` : '',
        p.never.length > 0 ? `never meets ${p.never.join(', ')}` : '',
    ]
        .filter(Boolean)
        .join('; ')
        .concat('.');

const words: Record<string, string> = {
    in: 'came in',
    fitted: 'taken for an aircraft',
    off: 'came off again',
    back: 'came back unused',
    counted: 'counted',
    scrapped: 'scrapped',
};

const moved: Column<Schemas['StockMove']>[] = [
    {
        id: 'at',
        header: 'When',
        accessorKey: 'at',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.at}</span>,
    },
    {
        id: 'batch',
        header: 'Batch',
        accessorKey: 'batch',
        cell: ({ row }) => <span className="font-mono">{row.original.batch}</span>,
    },
    { id: 'kind', header: 'What', accessorFn: (m) => words[m.kind] ?? m.kind },
    {
        id: 'quantity',
        header: 'Pieces',
        accessorKey: 'quantity',
        cell: ({ row }) => (
            <span className="font-mono">
                {row.original.quantity > 0 ? `+${row.original.quantity}` : `−${-row.original.quantity}`}
            </span>
        ),
    },
    {
        id: 'left',
        header: 'Left',
        accessorKey: 'left',
        cell: ({ row }) => <span className="font-mono">{row.original.left}</span>,
    },
    { id: 'paper', header: 'Paper, card or why', accessorKey: 'paper' },
    { id: 'who', header: 'By', accessorFn: (m) => m.who ?? '' },
];

const went: Column<Schemas['WhereFitted']>[] = [
    {
        id: 'mark',
        header: 'Aircraft',
        accessorKey: 'mark',
        cell: ({ row }) => <b className="font-mono">{row.original.mark}</b>,
    },
    { id: 'position', header: 'Position', accessorKey: 'position' },
    {
        id: 'batch',
        header: 'Batch',
        accessorFn: (f) => f.batch ?? '',
        cell: ({ row }) =>
            row.original.batch ? (
                <span className="font-mono">{row.original.batch}</span>
            ) : (
                <span className="text-soft">the one that was there</span>
            ),
    },
    { id: 'quantity', header: 'Pieces', accessorKey: 'quantity' },
    {
        id: 'card',
        header: 'Card',
        accessorKey: 'card',
        cell: ({ row }) => (
            <Link className="py-1 underline underline-offset-4" to={`/floor/${row.original.cardId}`}>
                {row.original.card}
            </Link>
        ),
    },
    { id: 'at', header: 'When', accessorKey: 'at' },
    { id: 'by', header: 'By', accessorFn: (f) => `${f.by}${f.stands ? '' : '; the step was taken back'}` },
];

/** One part number: what there is, what comes, what moved and on which aircraft it went. */
export function Part() {
    return <Wait query={usePart(String(useParams().number))}>{(room) => <PartOf room={room} />}</Wait>;
}

function PartOf({ room }: { room: Room }) {
    const [open, setOpen] = useState<'goods' | 'order' | 'change' | Schemas['StoreBatch'] | null>(null);
    const cancel = useSend(
        (id: number, headers) => take(api.POST('/api/part-orders/{id}/cancel', { params: { path: { id } }, headers })),
        undefined,
        { affects: touches.parts },
    );
    const p = room.part;
    const edit = room.may.includes('edit');
    const close = () => setOpen(null);
    return (
        <Page
            over={<Tabs label="Stores" tabs={storeTabs} />}
            sentence={room.sentence}
            note={about(p)}
            actions={
                edit && (
                    <>
                        <Button kind="main" onClick={() => setOpen('goods')}>
                            Take goods in
                        </Button>
                        <Button onClick={() => setOpen('order')}>It is ordered</Button>
                        <Button onClick={() => setOpen('change')}>Change</Button>
                    </>
                )
            }
        >
            <Section title="Batches">
                <ul>
                    {room.batches.map((b) => (
                        <li
                            key={b.id}
                            data-batch={b.batch}
                            className="grid grid-cols-[9rem_9rem_8rem_minmax(0,1fr)_7rem] items-center gap-3 border-b border-rule/60 py-1.5"
                        >
                            <b className="font-mono">{b.batch}</b>
                            <State state={b.why ? 'stop' : 'clear'} word={b.why ? 'not usable' : 'usable'} />
                            <span>{b.quantity} there</span>
                            <span>
                                {b.why ?? (b.expires ? `until ${short(b.expires)}` : 'no shelf life')}
                                {b.taken > 0 && <span className="text-soft">; {b.taken} with aircraft</span>}
                            </span>
                            {edit ? (
                                <Button aria-label={`Count, take back or scrap ${b.batch}`} onClick={() => setOpen(b)}>
                                    Count…
                                </Button>
                            ) : (
                                <span />
                            )}
                        </li>
                    ))}
                    {room.batches.length === 0 && <li className="text-soft">None was ever taken in.</li>}
                </ul>
            </Section>
            {(room.orders.length > 0 || p.reservedBy.length > 0) && (
                <Section title="Reserved and ordered">
                    {p.reservedBy.map((r) => (
                        <p key={r} className="py-1">
                            {r}
                        </p>
                    ))}
                    {room.orders.map((o) => (
                        <p key={o.id} className="flex items-center gap-3 py-1">
                            <State state="waiting" word="ordered" /> {o.quantity}, expected {short(o.expected)}
                            {edit && (
                                <Button kind="quiet" disabled={cancel.isPending} onClick={() => cancel.mutate(o.id)}>
                                    cancel the order
                                </Button>
                            )}
                        </p>
                    ))}
                    <Trouble error={cancel.error} />
                </Section>
            )}
            <Section title="Where it went">
                <Table name="went" rows={room.fitted} columns={went} empty="None was fitted yet." />
            </Section>
            <Section title="What moved">
                <Table name="moved" rows={room.moves} columns={moved} empty="Nothing moved yet." />
            </Section>
            {open === 'goods' && <GoodsIn room={room} onClose={close} />}
            {open === 'order' && <Order room={room} onClose={close} />}
            {open === 'change' && <PartForm part={p} onClose={close} />}
            {typeof open === 'object' && open !== null && <MoveBatch batch={open} onClose={close} />}
        </Page>
    );
}
