import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { State } from '../../parts/State';
import type { Column } from '../../parts/Table';

/** What every list of Bench begins with: how it stands, and on which aircraft. */
export const stateAndAircraft = <T extends Pick<Schemas['TrendRow'], 'look' | 'word' | 'mark'>>(): Column<T>[] => [
    {
        id: 'state',
        header: 'State',
        accessorFn: (r) => r.word,
        cell: ({ row }) => <State state={row.original.look} word={row.original.word} />,
    },
    {
        id: 'mark',
        header: 'Aircraft',
        accessorFn: (r) => r.mark,
        cell: ({ row }) => (
            <Link
                to={`/fleet/${row.original.mark}`}
                className="font-mono font-bold whitespace-nowrap underline underline-offset-4"
            >
                {row.original.mark}
            </Link>
        ),
    },
];

/** A test, or an attempt at one. */
export const testColumns: Column<Schemas['TestRow']>[] = [
    ...stateAndAircraft<Schemas['TestRow']>(),
    { id: 'system', header: 'System', accessorKey: 'system' },
    {
        id: 'title',
        header: 'Test',
        accessorKey: 'title',
        cell: ({ row }) => (
            <Link
                to={`/floor/${row.original.cardId}?step=${row.original.step}`}
                className="underline underline-offset-4"
            >
                {row.original.title}
            </Link>
        ),
    },
    {
        id: 'card',
        header: 'Card',
        accessorKey: 'card',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.card}</span>,
    },
    { id: 'said', header: 'Last', accessorKey: 'said' },
    {
        id: 'was',
        header: 'See',
        accessorFn: (r) => r.attemptId ?? '',
        cell: ({ row: { original: r } }) => (
            <span className="-my-1 flex flex-wrap gap-x-3 whitespace-nowrap">
                {r.attemptId !== null && (
                    <Link
                        to={`/bench/attempts/${r.attemptId}`}
                        className="inline-block py-1 underline underline-offset-4"
                    >
                        as it was
                    </Link>
                )}
                {r.findingId !== null && (
                    <Link
                        to={`/bench/findings/${r.findingId}`}
                        className="inline-block py-1 underline underline-offset-4"
                    >
                        fault tree
                    </Link>
                )}
            </span>
        ),
    },
];
