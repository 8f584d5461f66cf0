import type { Schemas } from '../../api/client';
import { useCrew } from '../../api/hooks';
import { Page, Wait } from '../../parts/Page';
import { Glyph, stateColour } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';

const words: Record<string, string> = { perform: 'works cards', duplicate: 'inspects', certify: 'certifies' };

const columns: Column<Schemas['PersonView']>[] = [
    { id: 'name', header: 'Name', accessorKey: 'name', cell: ({ row }) => <b>{row.original.name}</b> },
    { id: 'stamp', header: 'Stamp', accessorKey: 'stamp', cell: ({ row }) => <span className="font-mono">{row.original.stamp}</span> },
    { id: 'role', header: 'Role', accessorKey: 'role' },
    { id: 'shift', header: 'Shift', accessorFn: (p) => `${p.shift}, ${p.base}` },
    {
        id: 'held',
        header: 'Holds',
        accessorFn: (p) => p.held.map((q) => `${q.value} ${q.note}`).join('; '),
        cell: ({ row }) => (
            <span className="flex flex-wrap gap-x-4 gap-y-1">
                {row.original.held.length === 0 && <span className="text-soft">nothing yet</span>}
                {row.original.held.map((q) => (
                    <span key={q.kind + q.value} title={q.validUntil ?? 'does not lapse'} className="whitespace-nowrap">
                        <Glyph state={q.state} size={12} /> {words[q.value] ?? q.value}
                        {q.state !== 'clear' && <span className={`text-sm ${stateColour(q.state)}`}> {q.note}</span>}
                    </span>
                ))}
            </span>
        ),
    },
    { id: 'cards', header: 'Cards', accessorKey: 'cards' },
];

/** Who is there, what they hold, and what lapses. */
export function Crew() {
    return (
        <Wait query={useCrew()}>
            {(room) => (
                <Page sentence={room.sentence} note="Skills, type ratings and authorities. People are put on cards in Visits.">
                    <Table name="crew" rows={room.people} columns={columns} empty="Nobody yet. People appear here with what they may do." />
                </Page>
            )}
        </Wait>
    );
}
