import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useTrends } from '../../api/hooks';
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
    { id: 'last', header: 'Last', accessorKey: 'last' },
    { id: 'readings', header: 'Readings', accessorKey: 'readings' },
    { id: 'card', header: 'Card', accessorKey: 'card' },
    { id: 'date', header: 'Out after', accessorFn: (r) => r.date ?? '' },
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
