import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLibrary, useMe } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { BringIn } from './BringIn';

const columns: Column<Schemas['TemplateView']>[] = [
    {
        id: 'state',
        header: 'State',
        accessorKey: 'state',
        cell: ({ row }) => (
            <State state={row.original.state} word={row.original.state === 'stop' ? 're-read' : 'current'} />
        ),
    },
    {
        id: 'code',
        header: 'Card',
        accessorKey: 'code',
        cell: ({ row }) => <span className="font-mono">{row.original.code}</span>,
    },
    { id: 'title', header: 'Title', accessorKey: 'title' },
    { id: 'manual', header: 'Written from', accessorFn: (t) => `${t.manual} rev. ${t.revision}` },
    { id: 'steps', header: 'Steps', accessorKey: 'steps' },
    { id: 'hours', header: 'Hours', accessorKey: 'hours' },
    {
        id: 'independentInspection',
        header: 'Inspection',
        accessorFn: (t) => (t.independentInspection ? 'independent' : ''),
    },
];

/** Programme, manuals and card templates, and what is brought in. */
export function Library() {
    const may = useMe().data?.may ?? [];
    return (
        <Wait query={useLibrary()}>
            {(room) => (
                <Page sentence={room.sentence}>
                    {may.includes('bring') && <BringIn />}
                    <div className="grid grid-cols-2 gap-8">
                        <Section title="Programmes">
                            {room.programmes.map((p) => (
                                <p key={p.type} className="border-b border-rule/60 py-1.5">
                                    <Link className="underline underline-offset-4" to={`/library/programme/${p.type}`}>
                                        <b className="font-mono">{p.type}</b>
                                    </Link>{' '}
                                    {p.items} items
                                    <span className="block text-sm text-soft">{p.arrangement}</span>
                                </p>
                            ))}
                        </Section>
                        <Section title="Manuals">
                            {room.manuals.map((m) => (
                                <p key={m.code} className="border-b border-rule/60 py-1.5">
                                    <Link className="underline underline-offset-4" to={`/library/manuals/${m.code}`}>
                                        <b className="font-mono">{m.code}</b>
                                    </Link>{' '}
                                    revision {m.revision}
                                    <span className="block text-sm text-soft">
                                        {m.title}; {m.templates} cards cite it
                                        {m.stale > 0 && <b className="text-rust">, {m.stale} from an older revision</b>}
                                    </span>
                                </p>
                            ))}
                        </Section>
                    </div>
                    <Section title="Card templates">
                        <Table
                            name="card-templates"
                            rows={room.templates}
                            columns={columns}
                            empty="No card template yet."
                        />
                    </Section>
                </Page>
            )}
        </Wait>
    );
}
