import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDueList } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Choice, Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

const horizons = [14, 30, 90, 365].map((d) => ({ value: d, name: `${d} days` }));

const columns = (today: string): Column<Schemas['DueLine']>[] => [
    { id: 'state', header: 'State', accessorKey: 'state', cell: ({ row }) => <State state={row.original.state} /> },
    {
        id: 'date',
        header: 'Due',
        accessorKey: 'date',
        cell: ({ row }) => <span className="whitespace-nowrap">{short(row.original.date, today)}</span>,
    },
    {
        id: 'mark',
        header: 'Aircraft',
        accessorKey: 'mark',
        cell: ({ row }) => (
            <Link
                className="font-mono font-semibold whitespace-nowrap underline underline-offset-4"
                to={`/fleet/${row.original.mark}`}
            >
                {row.original.mark}
            </Link>
        ),
    },
    {
        id: 'code',
        header: 'Item',
        accessorKey: 'code',
        cell: ({ row }) => <span className="font-mono">{row.original.code}</span>,
    },
    { id: 'title', header: 'What', accessorKey: 'title' },
    {
        id: 'remaining',
        header: 'Left',
        accessorKey: 'days',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.remaining}</span>,
    },
    {
        id: 'latest',
        header: 'Latest',
        accessorFn: (l) => l.latest ?? '',
        cell: ({ row }) => <span className="whitespace-nowrap">{short(row.original.latest, today)}</span>,
    },
    { id: 'hours', header: 'Hours', accessorKey: 'hours' },
    { id: 'base', header: 'Base', accessorKey: 'base' },
    {
        id: 'visit',
        header: 'Visit',
        accessorFn: (l) => (l.visit ? `${l.visit}, ${l.visitFrom}` : ''),
        cell: ({ row: { original: l } }) =>
            l.visit && (
                <>
                    {l.visit}, <span className="whitespace-nowrap">{short(l.visitFrom ?? '', today)}</span>
                </>
            ),
    },
];

/** Every item of every aircraft that falls due within so many days. */
export function DueList() {
    const [days, setDays] = useState(30);
    return (
        <Wait query={useDueList(days)}>
            {(list) => (
                <Page
                    over={<Tabs label="Fleet" tabs={fleetViews} />}
                    sentence={list.sentence}
                    actions={<Button onClick={() => window.print()}>Print</Button>}
                >
                    <div className="noprint mb-3">
                        <Choice label="Horizon" options={horizons} value={days} onChange={setDays} />
                    </div>
                    <Table
                        name="due list"
                        rows={list.rows}
                        columns={columns(list.today)}
                        empty="Nothing falls due within this time."
                        file={`/api/due.csv?days=${days}`}
                    />
                </Page>
            )}
        </Wait>
    );
}
