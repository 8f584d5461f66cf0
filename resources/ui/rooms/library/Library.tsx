import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLibrary, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { BringIn } from './BringIn';
import { Bulk } from './Bulk';

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
        cell: ({ row }) => (
            <Link
                className="font-mono whitespace-nowrap underline underline-offset-4"
                to={`/library/cards/${row.original.type}/${row.original.code}`}
            >
                {row.original.code}
            </Link>
        ),
    },
    { id: 'title', header: 'Title', accessorKey: 'title' },
    { id: 'manual', header: 'Written from', accessorFn: (t) => `${t.manual} rev. ${t.revision}` },
    { id: 'steps', header: 'Steps', accessorKey: 'steps' },
    {
        id: 'draft',
        header: 'Being written',
        accessorFn: (t) => t.draft ?? '',
        cell: ({ row }) => row.original.draft && <State state="watch" word={row.original.draft} />,
    },
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
                                    {p.items} items,{' '}
                                    <Link className="underline underline-offset-4" to={`/library/listed/${p.type}`}>
                                        what may be carried
                                    </Link>
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
                    <p className="mt-6">
                        <Link className="font-semibold underline underline-offset-4" to="/library/follows">
                            What follows
                        </Link>{' '}
                        from a finding, or from a limit that was exceeded: questions, further looks, cards, suspects
                    </p>
                    <p className="mt-2">
                        <Link className="font-semibold underline underline-offset-4" to="/library/trees">
                            Fault trees
                        </Link>{' '}
                        of tests that fail: from question to question to the cause, or to whom to ask
                    </p>
                    <Section
                        title="Card templates"
                        aside={
                            <CardActions types={room.programmes.map((p) => p.type)} writes={may.includes('write')} />
                        }
                    >
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

/** New cards, many at once, and every card of a type as a file. */
function CardActions({ types, writes }: { types: string[]; writes: boolean }) {
    const [bulk, setBulk] = useState(false);
    return (
        <span className="flex flex-wrap items-baseline gap-x-4 text-sm">
            {types.map((t) => (
                <span key={t} className="flex gap-2">
                    <b className="font-mono">{t}</b>
                    {writes && (
                        <Link className="underline underline-offset-4" to={`/library/write/${t}`}>
                            new card
                        </Link>
                    )}
                    <Link className="underline underline-offset-4" to={`/library/figures/${t}`}>
                        figures
                    </Link>
                    <a className="underline underline-offset-4" href={`/api/library/card-sets/${t}/file.json`} download>
                        JSON
                    </a>
                </span>
            ))}
            {writes && (
                <Button kind="quiet" className="text-sm" onClick={() => setBulk(true)}>
                    change many
                </Button>
            )}
            {bulk && <Bulk types={types} onClose={() => setBulk(false)} />}
        </span>
    );
}
