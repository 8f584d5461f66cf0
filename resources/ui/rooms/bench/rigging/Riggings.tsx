import { Link } from 'react-router';
import type { Schemas } from '../../../api/client';
import { useRiggings } from '../../../api/hooks';
import { Page, Wait } from '../../../parts/Page';
import { type Column, Table } from '../../../parts/Table';
import { Tabs } from '../../../parts/Tabs';
import { stateAndAircraft } from '../columns';
import { benchTabs } from '../tabs';

const columns: Column<Schemas['RiggingRow']>[] = [
    ...stateAndAircraft<Schemas['RiggingRow']>(),
    {
        id: 'title',
        header: 'Rigging',
        accessorKey: 'title',
        cell: ({ row }) => (
            <Link to={`/bench/rigging/${row.original.id}`} className="underline underline-offset-4">
                {row.original.title}
            </Link>
        ),
    },
    { id: 'rounds', header: 'Rounds', accessorKey: 'rounds' },
    { id: 'when', header: 'Last read', accessorFn: (r) => r.date ?? '', cell: ({ row }) => row.original.when },
    {
        id: 'card',
        header: 'Card',
        accessorKey: 'card',
        cell: ({ row }) => (
            <Link to={`/floor/${row.original.cardId}`} className="font-mono underline underline-offset-4">
                {row.original.card}
            </Link>
        ),
    },
];

/** Riggings to do, in hand, and of the past. */
export function Riggings() {
    return (
        <Wait query={useRiggings()}>
            {(room) => (
                <Page over={<Tabs label="Bench" tabs={benchTabs} />} sentence={room.sentence}>
                    <Table name="riggings" rows={room.rows} columns={columns} empty="Nothing has been rigged yet." />
                </Page>
            )}
        </Wait>
    );
}
