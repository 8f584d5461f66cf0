import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCrew } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short, spanOf } from '../../parts/dates';
import { Page, Section, Wait } from '../../parts/Page';
import { Glyph, stateColour } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { Days } from './Days';
import { EnterPerson } from './EnterPerson';
import { Lapses } from './Lapses';
import { crewTabs } from './tabs';

type Person = Schemas['PersonView'];

const words: Record<string, string> = { perform: 'works cards', duplicate: 'inspects', certify: 'certifies' };

const columns = (onDays: ((p: Person) => void) | null): Column<Person>[] => [
    {
        id: 'name',
        header: 'Name',
        accessorKey: 'name',
        cell: ({ row }) => (
            <>
                <Link className="font-semibold underline underline-offset-4" to={`/crew/people/${row.original.id}`}>
                    {row.original.name}
                </Link>
                {row.original.trainee && (
                    <span className="block text-sm text-soft">trainee under {row.original.supervisor}</span>
                )}
            </>
        ),
    },
    {
        id: 'stamp',
        header: 'Stamp',
        accessorKey: 'stamp',
        cell: ({ row }) => <span className="font-mono">{row.original.stamp}</span>,
    },
    { id: 'role', header: 'Role', accessorKey: 'role' },
    {
        id: 'shift',
        header: 'Shift',
        accessorFn: (p) => `${p.shift}, ${p.base}${p.today ? `; ${p.today}` : ''}`,
        cell: ({ row: { original: p } }) => (
            <>
                {p.shift}, {p.base}
                {p.today && <b className="block text-sm text-ochre">{p.today}</b>}
                {p.away.map((a) => (
                    <span key={a.from} className="block text-sm text-soft">
                        {spanOf(a)}: {a.shift ? `${a.shift} shift, ${a.why}` : a.why}
                    </span>
                ))}
            </>
        ),
    },
    {
        id: 'qualifications',
        header: 'Holds',
        accessorFn: (p) => p.qualifications.map((q) => `${q.value} ${q.note}`).join('; '),
        cell: ({ row }) => (
            <span className="flex flex-wrap gap-x-4 gap-y-1">
                {row.original.qualifications.length === 0 && <span className="text-soft">nothing yet</span>}
                {row.original.qualifications.map((q) => (
                    <span
                        key={q.kind + q.value}
                        title={q.validUntil ? `until ${short(q.validUntil)}` : 'does not lapse'}
                        className="whitespace-nowrap"
                    >
                        <Glyph state={q.state} size={12} /> {words[q.value] ?? q.value}
                        {q.state !== 'clear' && <span className={`text-sm ${stateColour(q.state)}`}> {q.note}</span>}
                    </span>
                ))}
                {row.original.waiting.map((w) => (
                    <Link
                        key={w}
                        className="w-full text-sm underline underline-offset-4"
                        to={`/crew/people/${row.original.id}`}
                    >
                        <Glyph state="waiting" size={12} /> {w.replace(/^the /, '')} waits for a second person
                    </Link>
                ))}
            </span>
        ),
    },
    { id: 'cards', header: 'Cards', accessorKey: 'cards' },
    ...(onDays
        ? [
              {
                  id: 'days',
                  header: 'Days',
                  accessorFn: (p: Person) => p.away.length,
                  cell: ({ row }: { row: { original: Person } }) => (
                      <Button aria-label={`Days of ${row.original.name}`} onClick={() => onDays(row.original)}>
                          Days
                      </Button>
                  ),
              },
          ]
        : []),
];

/** Who is there, what they hold, and which planned cards a lapse hits. */
export function Crew() {
    const [days, setDays] = useState<Person | null>(null);
    const [entering, setEntering] = useState(false);
    return (
        <Wait query={useCrew()}>
            {(room) => (
                <Page
                    over={<Tabs label="Crew" tabs={crewTabs} />}
                    sentence={room.sentence}
                    actions={
                        room.may.includes('edit') && <Button onClick={() => setEntering(true)}>Enter somebody</Button>
                    }
                >
                    {room.lapses.length > 0 && <Lapses lapses={room.lapses} />}
                    <Section title="People">
                        <Table
                            name="crew"
                            rows={room.people}
                            columns={columns(room.may.includes('rota') ? setDays : null)}
                            empty="Nobody yet. People appear here with what they may do."
                        />
                    </Section>
                    {days && <Days person={days} shifts={room.choices.shifts} onClose={() => setDays(null)} />}
                    {entering && <EnterPerson choices={room.choices} onClose={() => setEntering(false)} />}
                </Page>
            )}
        </Wait>
    );
}
