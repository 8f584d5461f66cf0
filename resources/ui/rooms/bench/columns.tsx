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
            <Link to={`/fleet/${row.original.mark}`} className="font-mono font-bold underline underline-offset-4">
                {row.original.mark}
            </Link>
        ),
    },
];
