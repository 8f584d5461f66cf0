import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useTrends } from '../../api/hooks';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { stateAndAircraft } from './columns';
import { benchTabs } from './tabs';

const columns: Column<Schemas['TrendRow']>[] = [
    ...stateAndAircraft<Schemas['TrendRow']>(),
    {
        id: 'title',
        header: 'Point',
        accessorKey: 'title',
        cell: ({ row }) => (
            <Link to={`/bench/trends/${row.original.readingId}`} className="underline underline-offset-4">
                {row.original.title}
            </Link>
        ),
    },
    {
        id: 'last',
        header: 'Last',
        accessorKey: 'last',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.last}</span>,
    },
    { id: 'readings', header: 'Readings', accessorKey: 'readings' },
    {
        id: 'card',
        header: 'Card',
        accessorKey: 'card',
        cell: ({ row }) => <span className="font-mono whitespace-nowrap">{row.original.card}</span>,
    },
    {
        id: 'date',
        header: 'Out after',
        accessorFn: (r) => r.date ?? '',
        cell: ({ row }) => <span className="whitespace-nowrap">{short(row.original.date)}</span>,
    },
];

/** Every point that was read often enough, those that will be out first at the top. */
export function Trends() {
    return (
        <Wait query={useTrends()}>
            {(room) => (
                <Page over={<Tabs label="Bench" tabs={benchTabs} />} sentence={room.sentence}>
                    <Table
                        name="trends"
                        rows={room.rows}
                        columns={columns}
                        empty="No point has been read three times yet."
                    />
                </Page>
            )}
        </Wait>
    );
}
