import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useMe, useProgramme } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Wait } from '../../parts/Page';
import { type Column, Table } from '../../parts/Table';
import { EditItem } from './EditItem';
import { codeColumn, Files, OverList } from './itemList';

type Row = Schemas['ProgrammeRow'];

const columns = (onEdit: ((row: Row) => void) | null): Column<Row>[] => [
    codeColumn(onEdit),
    {
        id: 'title',
        header: 'What',
        accessorFn: (r) => (r.withdrawn ? `${r.title} (withdrawn)` : r.title),
        cell: ({ row, getValue }) => (
            <span className={row.original.withdrawn ? 'text-soft' : ''}>{String(getValue())}</span>
        ),
    },
    { id: 'limits', header: 'Limits', accessorKey: 'limits' },
    { id: 'rebase', header: 'Next counts', accessorKey: 'rebase' },
    { id: 'component', header: 'On', accessorFn: (r) => r.component ?? '' },
    { id: 'harsh', header: 'Harsh use', accessorKey: 'harsh' },
    { id: 'hours', header: 'Hours', accessorKey: 'hours' },
    { id: 'skill', header: 'Skill', accessorKey: 'skill' },
    { id: 'access', header: 'Opens', accessorKey: 'access' },
    { id: 'configuration', header: 'Configuration', accessorKey: 'configuration' },
    {
        id: 'card',
        header: 'Card',
        accessorKey: 'card',
        cell: ({ row }) => <span className="font-mono text-sm whitespace-nowrap">{row.original.card}</span>,
    },
];

/** One type's programme: read, taken away as a file, and edited item by item with a preview of every date. */
export function Programme() {
    const may = useMe().data?.may ?? [];
    const [editing, setEditing] = useState<Row | 'new' | null>(null);
    return (
        <Wait query={useProgramme(useParams().type ?? '')}>
            {(p) => (
                <Page
                    over={<OverList type={p.type} what={`${p.name} · ${p.arrangement}`} />}
                    sentence={p.sentence}
                    note={
                        may.includes('bring')
                            ? 'Choose an item to change it: what the change does to every aircraft is shown before it is saved.'
                            : undefined
                    }
                    actions={
                        <>
                            {may.includes('bring') && <Button onClick={() => setEditing('new')}>New item</Button>}
                            <Files at={`programmes/${p.type}`} />
                        </>
                    }
                >
                    <Table
                        name={`programme ${p.type}`}
                        rows={p.items}
                        columns={columns(may.includes('bring') ? setEditing : null)}
                        empty="The type has no programme yet. Bring one in."
                        file={`/api/library/programmes/${p.type}/file.csv`}
                    />
                    {editing && (
                        <EditItem
                            programme={p}
                            row={editing === 'new' ? null : editing}
                            onClose={() => setEditing(null)}
                        />
                    )}
                </Page>
            )}
        </Wait>
    );
}
