import type { Schemas } from '../../api/client';
import { useStores } from '../../api/hooks';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';

const columns: Column<Schemas['StoreTool']>[] = [
    {
        id: 'state',
        header: 'State',
        accessorKey: 'state',
        cell: ({ row }) => (
            <State state={row.original.state} word={{ stop: 'do not use', watch: 'soon due', clear: 'usable' }[row.original.state]} />
        ),
    },
    {
        id: 'code',
        header: 'Tool',
        accessorKey: 'code',
        cell: ({ row }) => <b className="font-mono whitespace-nowrap">{row.original.code}</b>,
    },
    { id: 'title', header: 'What', accessorKey: 'title' },
    {
        id: 'range',
        header: 'Range',
        accessorKey: 'range',
        cell: ({ row }) => <span className="text-sm whitespace-nowrap">{row.original.range}</span>,
    },
    { id: 'said', header: 'Calibration', accessorKey: 'said' },
    {
        id: 'calDue',
        header: 'Due',
        accessorKey: 'calDue',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.calDue}</span>,
    },
    { id: 'place', header: 'Place', accessorKey: 'place' },
    { id: 'readings', header: 'Readings', accessorKey: 'readings' },
];

/** Tools and their calibration. */
export function Stores() {
    return (
        <Wait query={useStores()}>
            {(room) => (
                <Page sentence={room.sentence}>
                    <Table name="tools" rows={room.tools} columns={columns} empty="No tool yet." />
                </Page>
            )}
        </Wait>
    );
}
