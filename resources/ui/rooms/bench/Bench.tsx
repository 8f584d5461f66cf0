import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBench } from '../../api/hooks';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';

const columns: Column<Schemas['BenchRow']>[] = [
    {
        id: 'state',
        header: 'State',
        accessorKey: 'said',
        cell: ({ row }) => <State state={row.original.state} word={row.original.said} />,
    },
    {
        id: 'mark',
        header: 'Aircraft',
        accessorKey: 'mark',
        cell: ({ row }) => <b className="font-mono">{row.original.mark}</b>,
    },
    {
        id: 'kind',
        header: 'Kind',
        accessorKey: 'kind',
        cell: ({ row }) => (row.original.kind === 'rig' ? 'rigging sheet' : 'functional test'),
    },
    {
        id: 'title',
        header: 'What',
        accessorKey: 'title',
        cell: ({ row }) => (
            <Link to={`/floor/${row.original.cardId}`} className="underline underline-offset-4">
                {row.original.title}
            </Link>
        ),
    },
    { id: 'card', header: 'Card, step', accessorFn: (r) => `${r.card}, step ${r.step}` },
];

/** Functional tests and rigging sheets, wherever they stand on cards. */
export function Bench() {
    return (
        <Wait query={useBench()}>
            {(room) => (
                <Page sentence={room.sentence}>
                    <Table
                        name="bench"
                        rows={room.sheets}
                        columns={columns}
                        empty="Nothing to test or rig now. The cards of a visit bring their tests here."
                    />
                </Page>
            )}
        </Wait>
    );
}
