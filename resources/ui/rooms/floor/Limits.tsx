import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useExceedances, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { Exceeded, Recorder } from './LimitForms';
import { floorTabs } from './tabs';

type Row = Schemas['ExceedanceView'];

/** Limits that were exceeded: by how much, for how long, whose reading, and what is done about it. */
export function Limits() {
    const [open, setOpen] = useState<'enter' | 'recorder' | null>(null);
    const [none, setNone] = useState<Row | null>(null);
    return (
        <Wait query={useExceedances()}>
            {(room) => (
                <Page
                    over={<Tabs label="Floor" tabs={floorTabs} />}
                    sentence={room.sentence}
                    actions={
                        room.may ? (
                            <>
                                <Button className="min-h-12" onClick={() => setOpen('recorder')}>
                                    From a recorder …
                                </Button>
                                <Button kind="main" className="min-h-12" onClick={() => setOpen('enter')}>
                                    A limit was exceeded …
                                </Button>
                            </>
                        ) : undefined
                    }
                >
                    <Table
                        name="exceedances"
                        rows={room.rows}
                        columns={columns(setNone)}
                        empty="Nothing yet. A reading beyond its limit comes here by itself."
                    />
                    {open === 'enter' && <Exceeded room={room} onClose={() => setOpen(null)} />}
                    {open === 'recorder' && <Recorder onClose={() => setOpen(null)} />}
                    {none && <None row={none} onClose={() => setNone(null)} />}
                </Page>
            )}
        </Wait>
    );
}

function columns(onNone: (row: Row) => void): Column<Row>[] {
    return [
        {
            id: 'state',
            header: 'State',
            accessorKey: 'word',
            cell: ({ row }) => <State state={row.original.state} word={row.original.word} />,
        },
        {
            id: 'mark',
            header: 'Aircraft',
            accessorKey: 'mark',
            cell: ({ row: { original: e } }) => (
                <>
                    <Link className="whitespace-nowrap font-mono underline underline-offset-4" to={`/fleet/${e.mark}`}>
                        {e.mark}
                    </Link>
                    <span className="block text-sm text-soft">{e.position}</span>
                </>
            ),
        },
        {
            id: 'exceeded',
            header: 'What',
            accessorFn: (e) => `${e.quantity} ${e.exceeded}`,
            cell: ({ row: { original: e } }) => (
                <>
                    <b className="block text-pretty">{e.exceeded}</b>
                    <span className="block text-pretty text-sm text-soft">{e.limit}</span>
                </>
            ),
        },
        {
            id: 'row',
            header: 'By its table',
            accessorKey: 'row',
            cell: ({ row: { original: e } }) => (
                <>
                    {e.row}
                    <span className="block text-sm text-soft">
                        {e.number}, {e.rule}
                        {e.note && `; ${e.note}`}
                    </span>
                </>
            ),
        },
        { id: 'happened', header: 'When', accessorKey: 'happened' },
        { id: 'by', header: 'Told by', accessorKey: 'by' },
        {
            id: 'finding',
            header: 'Finding',
            accessorFn: (e) => e.finding ?? '',
            cell: ({ row: { original: e } }) =>
                e.findingId !== null ? (
                    <Link className="underline underline-offset-4" to={`/floor/findings/${e.findingId}`}>
                        {e.finding}
                    </Link>
                ) : e.mayMistake ? (
                    <Button kind="quiet" className="whitespace-nowrap" onClick={() => onNone(e)}>
                        it was none …
                    </Button>
                ) : null,
        },
    ];
}

function None({ row, onClose }: { row: Row; onClose: () => void }) {
    const [why, setWhy] = useState('');
    const send = useSend(
        (body: { why: string }, headers) =>
            take(api.POST('/api/exceedances/{id}/mistake', { params: { path: { id: row.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={`${row.number} was none`}
            action="Mark it so"
            ready={why.trim().length > 2}
            send={send}
            onSend={() => send.mutate({ why })}
            onClose={onClose}
        >
            <p>It stays in the list, with the reason.</p>
            <Field label="Why" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
        </FormDialog>
    );
}
