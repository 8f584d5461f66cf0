import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useMe, useStored } from '../../api/hooks';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { Retag } from '../fleet/MoveComponent';
import { storeTabs } from './tabs';

type Unit = Schemas['StoredView'];

const columns = (may: boolean, onRetag: (u: Unit) => void): Column<Unit>[] => [
    { id: 'title', header: 'Unit', accessorKey: 'title' },
    { id: 'partNo', header: 'Part', accessorKey: 'partNo', cell: ({ row }) => <Mono>{row.original.partNo}</Mono> },
    { id: 'serial', header: 'Serial', accessorKey: 'serial', cell: ({ row }) => <Mono>{row.original.serial}</Mono> },
    { id: 'counters', header: 'Its own counters', accessorFn: (u) => u.counters || 'calendar only' },
    { id: 'place', header: 'Where', accessorFn: (u) => u.place ?? '' },
    {
        id: 'tagged',
        header: 'Tag',
        accessorKey: 'tagged',
        cell: ({ row }) => (
            <>
                <State state={row.original.serviceable ? 'clear' : 'stop'} word={row.original.tagged} />
                {row.original.tagWhy && <span className="block text-sm text-soft">{row.original.tagWhy}</span>}
            </>
        ),
    },
    {
        id: 'do',
        header: '',
        enableSorting: false,
        cell: ({ row }) =>
            may && (
                <button
                    type="button"
                    className="px-2 text-sm underline underline-offset-4 pointer-coarse:min-h-12"
                    onClick={() => onRetag(row.original)}
                >
                    change the tag
                </button>
            ),
    },
];

const Mono = ({ children }: { children: string }) => <span className="font-mono">{children}</span>;

const sentence = (all: number, bad: number): string => {
    const tags = bad === 1 ? 'its tag says' : 'their tags say';
    const units = all === 1 ? 'unit is' : 'units are';
    return `${all} ${units} not fitted${bad === 0 ? '' : `; ${bad} may not be, as ${tags}`}.`;
};

/** Units with a life of their own that are not fitted: where they lie, and what their tags say. */
export function Units() {
    const may = useMe().data?.may.includes('edit') ?? false;
    const [retag, setRetag] = useState<Unit | null>(null);
    return (
        <Wait query={useStored()}>
            {(units) => {
                const bad = units.filter((u) => !u.serviceable).length;
                return (
                    <Page over={<Tabs label="Stores" tabs={storeTabs} />} sentence={sentence(units.length, bad)}>
                        <Table
                            name="Units"
                            file="units.csv"
                            rows={units}
                            columns={columns(may, setRetag)}
                            empty="Every unit is fitted."
                        />
                        {retag && <Retag unit={retag} onClose={() => setRetag(null)} />}
                    </Page>
                );
            }}
        </Wait>
    );
}
