import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useBays, useMe, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { Tabs } from '../../parts/Tabs';
import { visitsViews } from './views';

const LEFT = 170;
const WIDE = 1080;
const ROW = 64;

/** The bays' calendar: what stands where, and where an aircraft could. */
export function Bays() {
    return <Wait query={useBays()}>{(room) => <BaysOf room={room} />}</Wait>;
}

function BaysOf({ room }: { room: Schemas['BaysView'] }) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const [opening, setOpening] = useState<Schemas['BayView'] | null>(null);
    const remove = useSend((id: number, headers) =>
        take(api.POST('/api/bay-slots/{id}/remove', { params: { path: { id } }, headers })),
    );
    const from = Date.parse(room.from);
    const x = (day: string, plus = 0) => LEFT + ((Date.parse(day) - from) / 864e5 + plus) * ((WIDE - LEFT) / room.days);
    const months = monthsOf(room.from, room.days);
    const free = room.bays.flatMap((b) => b.blocks.filter((k) => k.kind === 'free').map((k) => ({ bay: b, block: k })));
    return (
        <Page over={<Tabs label="Visits" tabs={visitsViews} />} sentence={room.sentence}>
            <svg
                viewBox={`0 0 ${WIDE} ${30 + room.bays.length * ROW}`}
                className="w-full rounded-lg border border-rule bg-sheet"
            >
                <title>Bays and days</title>
                {months.map((m) => (
                    <g key={m.day}>
                        <line
                            x1={x(m.day)}
                            x2={x(m.day)}
                            y1="0"
                            y2={30 + room.bays.length * ROW}
                            className="stroke-rule"
                        />
                        <text x={x(m.day) + 5} y="19" className="fill-soft text-[13px]">
                            {m.name}
                        </text>
                    </g>
                ))}
                <line
                    x1={x(room.from, 7)}
                    x2={x(room.from, 7)}
                    y1="0"
                    y2={30 + room.bays.length * ROW}
                    className="stroke-ink"
                    strokeWidth="2"
                />
                {room.bays.map((b, i) => (
                    <g key={b.id} transform={`translate(0 ${30 + i * ROW})`}>
                        <line x1="0" x2={WIDE} y1="0" y2="0" className="stroke-rule" />
                        <text x="12" y="26" className="fill-ink text-[15px] font-semibold">
                            {b.name}
                        </text>
                        <text x="12" y="44" className="fill-soft text-[12px]">
                            at most {b.people} people
                        </text>
                        {b.blocks.map((k) => {
                            const a = Math.max(LEFT, x(k.start));
                            const width = Math.max(6, x(k.end, 1) - a);
                            return (
                                <g key={k.id}>
                                    <title>{`${k.mark ?? 'Free'} ${k.title}, ${short(k.start)} to ${short(k.end)}, ${k.hours} h ${k.note}`}</title>
                                    {k.kind === 'free' ? (
                                        <rect
                                            x={a}
                                            width={width}
                                            y="12"
                                            height={ROW - 24}
                                            rx="4"
                                            className="fill-none stroke-spruce"
                                            strokeWidth="2"
                                            strokeDasharray="6 4"
                                        />
                                    ) : (
                                        <path
                                            d={`M${a + 6} 10H${a}V${ROW - 10}H${a + 6}M${a + width - 6} 10H${a + width}V${ROW - 10}H${a + width - 6}M${a} ${ROW - 16}H${a + width}`}
                                            className={`fill-none ${k.kind === 'in_work' ? 'stroke-ink' : 'stroke-slate'}`}
                                            strokeWidth={k.kind === 'in_work' ? 3 : 2}
                                        />
                                    )}
                                    <text
                                        x={a + width / 2}
                                        y="36"
                                        textAnchor="middle"
                                        className="fill-ink stroke-sheet font-mono text-[11px] font-semibold [paint-order:stroke]"
                                        strokeWidth="4"
                                    >
                                        {width > 38 ? (k.mark ?? `${k.hours} h`) : ''}
                                    </text>
                                </g>
                            );
                        })}
                    </g>
                ))}
            </svg>
            <p className="mt-2 text-sm text-soft">Brackets are visits, heavy when in work; dashed is free.</p>
            <Section title="Bays">
                <table className="w-full text-left">
                    <thead>
                        <tr className="border-b border-rule text-soft">
                            <th className="py-1 font-normal">Bay</th>
                            <th className="py-1 font-normal">Open</th>
                            <th className="py-1 font-normal">People</th>
                            <th />
                        </tr>
                    </thead>
                    <tbody>
                        {room.bays.map((b) => (
                            <tr key={b.id} className="border-b border-rule/70" data-bay={b.name}>
                                <th scope="row" className="py-2 font-semibold">
                                    {b.name}
                                </th>
                                <td>{b.hours}</td>
                                <td>{b.people}</td>
                                <td className="text-right">
                                    {may && <Button onClick={() => setOpening(b)}>Open a free slot</Button>}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </Section>
            <Section title={`Free slots (${free.length})`}>
                <Trouble error={remove.error} />
                {free.length === 0 && (
                    <p className="text-soft">None. An aircraft can still be put into a bay from its own page.</p>
                )}
                <ul className="divide-y divide-rule/70">
                    {free.map(({ bay, block }) => (
                        <li key={block.id} className="flex items-center gap-4 py-1.5">
                            <span className="w-56">
                                {short(block.start, block.start)} to {short(block.end, block.start)}
                            </span>
                            <span className="w-48">{bay.name}</span>
                            <span className="w-24">{block.hours} h</span>
                            <span className="flex-1 text-soft">{block.note}</span>
                            <Link className="underline underline-offset-4" to="/visits/pack">
                                Pack
                            </Link>
                            {may && (
                                <Button
                                    kind="quiet"
                                    disabled={remove.isPending}
                                    onClick={() => remove.mutate(Number(block.id.split('-')[1]))}
                                >
                                    Remove
                                </Button>
                            )}
                        </li>
                    ))}
                </ul>
            </Section>
            {opening && <Open bay={opening} onClose={() => setOpening(null)} />}
        </Page>
    );
}

function Open({ bay, onClose }: { bay: Schemas['BayView']; onClose: () => void }) {
    const [start, setStart] = useState('');
    const [end, setEnd] = useState('');
    const [hours, setHours] = useState('');
    const [note, setNote] = useState('');
    const send = useSend(
        (body: { start: string; end: string; hours: number; note: string }, headers) =>
            take(api.POST('/api/bays/{id}/slots', { params: { path: { id: bay.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ start, end, hours: Number(hours.replace(',', '.')), note });
    };
    return (
        <Dialog open onClose={onClose} title={`A free slot in ${bay.name}`}>
            <form onSubmit={submit} className="mt-3 space-y-3">
                <Field
                    label="First day"
                    name="start"
                    type="date"
                    required
                    value={start}
                    onChange={(e) => setStart(e.target.value)}
                />
                <Field
                    label="Last day"
                    name="end"
                    type="date"
                    required
                    value={end}
                    onChange={(e) => setEnd(e.target.value)}
                />
                <Field
                    label="Hours of work"
                    name="hours"
                    inputMode="decimal"
                    required
                    value={hours}
                    onChange={(e) => setHours(e.target.value)}
                />
                <Field label="Note" name="note" value={note} onChange={(e) => setNote(e.target.value)} />
                <Trouble error={send.error} />
                <Button kind="main" type="submit" disabled={send.isPending}>
                    Open it
                </Button>
            </form>
        </Dialog>
    );
}

function monthsOf(from: string, days: number): { day: string; name: string }[] {
    const out: { day: string; name: string }[] = [];
    for (let i = 0; i <= days; i++) {
        const d = new Date(Date.parse(from) + i * 864e5);
        if (d.getUTCDate() === 1) {
            out.push({
                day: d.toISOString().slice(0, 10),
                name: d.toLocaleDateString('en-GB', { month: 'long', timeZone: 'UTC' }),
            });
        }
    }
    return out;
}
