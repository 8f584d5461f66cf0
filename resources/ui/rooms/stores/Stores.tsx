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
import { EnterTool } from './EnterTool';
import { storeTabs } from './tabs';

const columns: Column<Schemas['StoreTool']>[] = [
    {
        id: 'state',
        header: 'State',
        accessorKey: 'state',
        cell: ({ row }) => (
            <State
                state={row.original.state}
                word={{ stop: 'do not use', watch: 'soon due', clear: 'usable' }[row.original.state]}
            />
        ),
    },
    {
        id: 'code',
        header: 'Tool',
        accessorKey: 'code',
        cell: ({ row }) => (
            <Link
                to={`/stores/tools/${row.original.code}`}
                className="font-mono font-bold whitespace-nowrap underline underline-offset-4"
            >
                {row.original.code}
            </Link>
        ),
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
        cell: ({ row }) => <span className="whitespace-nowrap">{short(row.original.calDue)}</span>,
    },
    { id: 'place', header: 'Place', accessorFn: (t) => (t.out ? `out: ${t.out}` : t.place) },
    { id: 'readings', header: 'Readings', accessorKey: 'readings' },
];

/** Tools and their calibration. */
export function Stores() {
    const [entering, setEntering] = useState(false);
    return (
        <Wait query={useStores()}>
            {(room) => (
                <Page
                    over={<Tabs label="Stores" tabs={storeTabs} />}
                    sentence={room.sentence}
                    actions={
                        room.may.includes('edit') && <Button onClick={() => setEntering(true)}>Enter a tool</Button>
                    }
                >
                    {entering && <EnterTool onClose={() => setEntering(false)} />}
                    <Table name="tools" rows={room.tools} columns={columns} empty="No tool yet." />
                </Page>
            )}
        </Wait>
    );
}
