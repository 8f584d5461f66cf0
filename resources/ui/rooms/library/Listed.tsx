import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useListed, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { type Column, Table } from '../../parts/Table';
import { EditListed } from './EditListed';
import { codeColumn, Files, OverList } from './itemList';

type Row = Schemas['ListedRow'];

const columns = (onEdit: ((row: Row) => void) | null): Column<Row>[] => [
    codeColumn(onEdit),
    { id: 'chapter', header: 'Chapter', accessorKey: 'chapter' },
    { id: 'title', header: 'What', accessorKey: 'title' },
    { id: 'category', header: 'Category', accessorKey: 'category' },
    { id: 'limits', header: 'For at most', accessorKey: 'limits' },
    { id: 'units', header: 'Installed / required', accessorKey: 'units' },
    { id: 'terms', header: 'Terms', accessorKey: 'terms' },
    {
        id: 'safe',
        header: 'Cards',
        accessorKey: 'safe',
        cell: ({ row }) => (
            <span className="font-mono text-sm">
                {row.original.safe.split(', ').map((c) => (
                    <span key={c} className="block whitespace-nowrap">
                        {c}
                    </span>
                ))}
            </span>
        ),
    },
    {
        id: 'placard',
        header: 'Placard',
        accessorKey: 'placard',
        cell: ({ row }) => <span className="font-mono text-sm">{row.original.placard}</span>,
    },
    { id: 'carried', header: 'Carried', accessorFn: (r) => (r.carried === 0 ? '' : r.carried) },
];

/**
 * What may be carried on a type, by the revision in force: read, taken away as a file, edited item by item with a
 * preview.
 */
export function Listed() {
    const may = useMe().data?.may ?? [];
    const [editing, setEditing] = useState<Row | 'new' | null>(null);
    return (
        <Wait query={useListed(useParams().type ?? '')}>
            {(list) => (
                <Page
                    over={<OverList type={list.type} what="what may be carried" />}
                    sentence={list.sentence}
                    actions={
                        <>
                            {may.includes('bring') && <Button onClick={() => setEditing('new')}>New item</Button>}
                            <Files at={`listed/${list.type}`} />
                        </>
                    }
                >
                    <Table
                        name="listed items"
                        rows={list.items}
                        columns={columns(may.includes('bring') ? setEditing : null)}
                        empty="No listed item yet. Bring a list in in Library."
                        file={`/api/library/listed/${list.type}/file.csv`}
                    />
                    <Section title="Revisions">
                        <ul>
                            {list.revisions.map((r) => (
                                <li key={r} className="py-0.5">
                                    {r}
                                </li>
                            ))}
                        </ul>
                    </Section>
                    {editing !== null && (
                        <EditListed
                            list={list}
                            row={editing === 'new' ? null : editing}
                            onClose={() => setEditing(null)}
                        />
                    )}
                </Page>
            )}
        </Wait>
    );
}
