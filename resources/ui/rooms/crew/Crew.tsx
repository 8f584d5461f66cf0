import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useCrew, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { Glyph, stateColour } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Choice, Tabs } from '../../parts/Tabs';
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
                <b>{row.original.name}</b>
                {row.original.trainee && <span className="block text-sm text-soft">trainee under {row.original.supervisor}</span>}
            </>
        ),
    },
    { id: 'stamp', header: 'Stamp', accessorKey: 'stamp', cell: ({ row }) => <span className="font-mono">{row.original.stamp}</span> },
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
                        {a.from === a.until ? a.from : `${a.from} to ${a.until}`}: {a.shift ? `${a.shift} shift, ${a.why}` : a.why}
                    </span>
                ))}
            </>
        ),
    },
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
    return (
        <Wait query={useCrew()}>
            {(room) => (
                <Page over={<Tabs label="Crew" tabs={crewTabs} />} sentence={room.sentence}>
                    {room.lapses.length > 0 && <Lapses lapses={room.lapses} />}
                    <Section title="People">
                        <Table
                            name="crew"
                            rows={room.people}
                            columns={columns(room.may.includes('roster') ? setDays : null)}
                            empty="Nobody yet. People appear here with what they may do."
                        />
                    </Section>
                    {days && <Days person={days} shifts={room.shifts} onClose={() => setDays(null)} />}
                </Page>
            )}
        </Wait>
    );
}

/** What lapses, as fuses that shorten, and the cards that each would stop. */
function Lapses({ lapses }: { lapses: Schemas['LapseView'][] }) {
    return (
        <ul className="divide-y divide-rule/70 border-y border-rule">
            {lapses.map((l) => (
                <li
                    key={`${l.personId}${l.kind}${l.value}`}
                    className="grid grid-cols-[1.4rem_minmax(0,20rem)_14rem_minmax(0,1fr)] items-center gap-3 py-2 max-[1000px]:grid-cols-[1.4rem_1fr]"
                >
                    <Glyph state={l.state} />
                    <span>
                        <b>{l.name}</b> <span className="block text-sm text-soft">{l.said}</span>
                    </span>
                    <svg viewBox="0 0 246 22" className="w-full" role="img" aria-label={`${Math.max(0, l.days)} of 60 days left`}>
                        <line x1="0" x2="180" y1="11" y2="11" className="stroke-rule" strokeWidth="2" />
                        <line
                            x1="0"
                            x2={Math.max(0, Math.min(60, l.days)) * 3}
                            y1="11"
                            y2="11"
                            stroke="currentColor"
                            strokeWidth="7"
                            className={stateColour(l.state)}
                        />
                        <text x="188" y="16" className="fill-ink font-mono text-[13px]">
                            {l.days < 0 ? 'lapsed' : `${l.days} d`}
                        </text>
                    </svg>
                    <span className="text-sm">
                        {l.hits.length === 0 ? (
                            <span className="text-soft">no planned card hit</span>
                        ) : (
                            l.hits.map((h) => (
                                <Link
                                    key={h.cardId + h.role}
                                    to={`/floor/${h.cardId}`}
                                    className="block w-fit py-1 underline underline-offset-4"
                                >
                                    {h.mark} {h.number} {h.title}, {h.role === 'duplicate' ? 'to inspect' : 'to work'} on {h.on}
                                </Link>
                            ))
                        )}
                    </span>
                </li>
            ))}
        </ul>
    );
}

/** Leave, another shift, or the usual week again. */
function Days({ person, shifts, onClose }: { person: Person; shifts: string[]; onClose: () => void }) {
    const [from, setFrom] = useState('');
    const [until, setUntil] = useState('');
    const [what, setWhat] = useState<'away' | 'shift' | 'clear'>('away');
    const [shift, setShift] = useState(shifts.find((s) => s !== person.shift) ?? '');
    const [why, setWhy] = useState('leave');
    const send = useSend(
        (body: { from: string; until: string; do: 'away' | 'shift' | 'clear'; shift?: string; why?: string }, headers) =>
            take(api.POST('/api/crew/{id}/days', { params: { path: { id: person.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ from, until: until || from, do: what, ...(what === 'clear' ? {} : { why }), ...(what === 'shift' ? { shift } : {}) });
    };
    return (
        <Dialog open onClose={onClose} title={`Days of ${person.name}`}>
            <form onSubmit={submit} className="space-y-4">
                <Choice
                    label="What"
                    options={[
                        { value: 'away', name: 'away' },
                        { value: 'shift', name: 'another shift' },
                        { value: 'clear', name: 'the usual week again' },
                    ]}
                    value={what}
                    onChange={setWhat}
                />
                <div className="grid grid-cols-2 gap-3">
                    <Field label="From" name="from" type="date" value={from} onChange={(e) => setFrom(e.target.value)} />
                    <Field label="Until" name="until" type="date" value={until} onChange={(e) => setUntil(e.target.value)} />
                </div>
                {what === 'shift' && (
                    <label className="block">
                        <span className="mb-1 block font-semibold">Shift</span>
                        <select
                            name="shift"
                            value={shift}
                            onChange={(e) => setShift(e.target.value)}
                            className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                        >
                            {shifts.map((s) => (
                                <option key={s}>{s}</option>
                            ))}
                        </select>
                    </label>
                )}
                {what !== 'clear' && <Field label="Why" name="why" value={why} onChange={(e) => setWhy(e.target.value)} />}
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || from === '' || (what !== 'clear' && why === '')}>
                    Enter
                </Button>
            </form>
        </Dialog>
    );
}
