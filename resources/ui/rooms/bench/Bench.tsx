import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBench } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { testColumns } from './columns';
import { benchTabs } from './tabs';

const sheetColumns: Column<Schemas['BenchRow']>[] = [
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
        accessorFn: (r) => ({ rig: 'rigging sheet', sheet: 'reading sheet' })[r.kind] ?? 'functional test',
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

/** What is to be tested, what ran today, what failed, and what will be out first. */
export function Bench() {
    return (
        <Wait query={useBench()}>
            {(room) => (
                <Page over={<Tabs label="Bench" tabs={benchTabs} />} sentence={room.sentence}>
                    {room.failed.length > 0 && (
                        <Section title="Did not pass">
                            <Table name="bench-failed" rows={room.failed} columns={testColumns} empty="" />
                        </Section>
                    )}
                    <Section title="To test">
                        <Table
                            name="bench"
                            rows={room.toTest}
                            columns={testColumns}
                            empty="Nothing to test now. The cards of a visit bring their tests here."
                        />
                    </Section>
                    {room.today.length > 0 && (
                        <Section title="Today">
                            <Table name="bench-today" rows={room.today} columns={testColumns} empty="" />
                        </Section>
                    )}
                    {room.first.length > 0 && (
                        <Section
                            title="Out of limits first"
                            aside={
                                <Link className="text-sm underline underline-offset-4" to="/bench/trends">
                                    all trends
                                </Link>
                            }
                        >
                            <ul className="divide-y divide-rule" data-testid="first">
                                {room.first.map((r) => (
                                    <li key={r.readingId} className="flex min-h-10 flex-wrap items-center gap-x-4">
                                        <State state={r.look} word={r.word} />
                                        <b className="font-mono">{r.mark}</b>
                                        <Link
                                            className="underline underline-offset-4"
                                            to={`/bench/trends/${r.readingId}`}
                                        >
                                            {r.title}
                                        </Link>
                                        <span className="text-soft">last {r.last}</span>
                                    </li>
                                ))}
                            </ul>
                        </Section>
                    )}
                    <Section title="Rigging and reading sheets">
                        <Table
                            name="bench-sheets"
                            rows={room.sheets}
                            columns={sheetColumns}
                            empty="No sheet is on an open card."
                        />
                    </Section>
                    {room.past.length > 0 && (
                        <Section
                            title="Before today"
                            aside={
                                <Link className="text-sm underline underline-offset-4" to="/bench/past">
                                    all past tests
                                </Link>
                            }
                        >
                            <Table name="bench-past" rows={room.past} columns={testColumns} empty="" />
                        </Section>
                    )}
                </Page>
            )}
        </Wait>
    );
}
