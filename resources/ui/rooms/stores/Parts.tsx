import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useStores } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { PartForm } from './PartForm';
import { storeTabs } from './tabs';

const columns: Column<Schemas['StorePart']>[] = [
    {
        id: 'state',
        header: 'State',
        accessorKey: 'state',
        cell: ({ row }) => (
            <>
                <State
                    state={row.original.state}
                    word={{ stop: 'look', watch: 'watch', clear: 'enough' }[row.original.state]}
                />
                {row.original.state !== 'clear' && <span className="block text-sm">{row.original.said}</span>}
            </>
        ),
    },
    {
        id: 'number',
        header: 'Part',
        accessorKey: 'number',
        cell: ({ row }) => (
            <Link
                className="py-1 font-mono font-bold whitespace-nowrap underline underline-offset-4"
                to={`/stores/parts/${row.original.number}`}
            >
                {row.original.number}
            </Link>
        ),
    },
    {
        id: 'title',
        header: 'What',
        accessorKey: 'title',
        cell: ({ row }) => (
            <>
                {row.original.title}
                {row.original.oneTime && <span className="block text-sm text-soft">never used twice</span>}
            </>
        ),
    },
    { id: 'stock', header: 'Usable', accessorKey: 'stock' },
    {
        id: 'reserved',
        header: 'Reserved',
        accessorKey: 'reserved',
        cell: ({ row }) => (
            <>
                <b>{row.original.reserved}</b>
                {row.original.reservedBy.map((r) => (
                    <span key={r} className="block text-sm whitespace-nowrap text-soft">
                        {r}
                    </span>
                ))}
            </>
        ),
    },
    {
        id: 'ordered',
        header: 'Ordered',
        accessorFn: (p) => p.ordered ?? '',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.ordered}</span>,
    },
    { id: 'effectivity', header: 'Fits', accessorFn: (p) => p.effectivity ?? 'every tail' },
    {
        id: 'batches',
        header: 'Batches',
        accessorFn: (p) => p.batches.map((b) => b.batch).join(' '),
        cell: ({ row }) =>
            row.original.batches.map((b) => (
                <span key={b.batch} className={`block text-sm whitespace-nowrap ${b.why ? 'text-rust' : ''}`}>
                    <span className="font-mono">{b.batch}</span>: {b.quantity}
                    {b.expires && (b.why ? `, ${b.why}` : `, until ${short(b.expires)}`)}
                </span>
            )),
    },
];

/** Parts: what is short, what runs out, what is reserved for which card. */
export function Parts() {
    const [entering, setEntering] = useState(false);
    return (
        <Wait query={useStores()}>
            {(room) => (
                <Page
                    over={<Tabs label="Stores" tabs={storeTabs} />}
                    sentence={room.partsSentence}
                    actions={
                        room.may.includes('parts') && (
                            <Button onClick={() => setEntering(true)}>Enter a part number</Button>
                        )
                    }
                >
                    {entering && <PartForm part={null} onClose={() => setEntering(false)} />}
                    <Table name="parts" rows={room.parts} columns={columns} empty="No part yet." />
                </Page>
            )}
        </Wait>
    );
}
