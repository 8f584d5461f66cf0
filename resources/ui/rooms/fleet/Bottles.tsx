import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useBottles, useMe, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Page, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Trend } from '../../parts/Trend';
import { fleetViews } from './views';

type Bottle = Schemas['BottleView'];

/** Bottles and accumulators: where each trend meets its minimum. */
export function Bottles() {
    return <Wait query={useBottles()}>{(room) => <BottlesOf room={room} />}</Wait>;
}

function BottlesOf({ room }: { room: Schemas['BottlesView'] }) {
    const [chosen, setChosen] = useState(room.bottles[0]?.component ?? null);
    const bottle = room.bottles.find((b) => b.component === chosen);
    return (
        <Page over={<Tabs label="Fleet" tabs={fleetViews} />} sentence={room.sentence}>
            {room.bottles.length === 0 && (
                <p className="text-soft">Fit a component with a gauge to an aircraft, and its readings come here.</p>
            )}
            <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.35fr)] gap-8">
                <ul className="max-h-[70vh] overflow-auto pr-1">
                    {room.bottles.map((b) => (
                        <li key={b.component}>
                            <button
                                type="button"
                                data-bottle={b.name}
                                aria-pressed={b.component === chosen}
                                onClick={() => setChosen(b.component)}
                                className={`grid min-h-12 w-full grid-cols-[5.4rem_5.5rem_1fr_auto] items-center gap-x-2 border-b border-rule/60 px-2 text-left ${b.component === chosen ? 'bg-sheet shadow-[inset_5px_0_0_var(--spruce)]' : 'hover:bg-sheet'}`}
                            >
                                <State state={b.state} word={b.state === 'waiting' ? 'no trend' : b.state} />
                                <b className="font-mono">{b.mark}</b>
                                <span className="truncate">{b.position}</span>
                                <span className="whitespace-nowrap">{b.date === null ? 'does not fall' : short(b.date, room.today)}</span>
                            </button>
                        </li>
                    ))}
                </ul>
                {bottle && <One key={bottle.component} bottle={bottle} today={room.today} />}
            </div>
        </Page>
    );
}

function One({ bottle, today }: { bottle: Bottle; today: string }) {
    const may = useMe().data?.may ?? [];
    const [reading, setReading] = useState(false);
    const [wrong, setWrong] = useState<Schemas['GaugeRow'] | null>(null);
    return (
        <section className="min-w-0" data-testid="bottle">
            <h2 className="text-[1.15rem] font-semibold">
                {bottle.name}, {bottle.position} of{' '}
                <Link className="font-mono underline underline-offset-4" to={`/fleet/${bottle.mark}`}>
                    {bottle.mark}
                </Link>
            </h2>
            <p>
                {bottle.said}{' '}
                <span className="text-soft">
                    {bottle.partNo}; minimum {bottle.minimum} {bottle.unit} at {bottle.reference} °C
                    {bottle.expected !== null && `; use takes ${bottle.expected} ${bottle.unit} a day`}.
                </span>
            </p>
            <Trend bottle={bottle} />
            {may.includes('read') && (
                <Button kind="main" big onClick={() => setReading(true)}>
                    Enter a reading
                </Button>
            )}
            <table className="mt-4 w-full text-left">
                <thead className="text-sm text-soft">
                    <tr>
                        {['Read on', 'Gauge', 'At', 'By', ''].map((h) => (
                            <th key={h} className="py-1 pr-4 font-semibold">
                                {h}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {bottle.readings.slice(0, 12).map((r) => (
                        <tr key={r.id} className={`border-t border-rule/60 ${r.current ? '' : 'text-soft line-through'}`}>
                            <td className="py-1 pr-4 whitespace-nowrap">{short(r.date, today)}</td>
                            <td className="pr-4 font-mono whitespace-nowrap">
                                {r.pressure} {bottle.unit}
                            </td>
                            <td className="pr-4 font-mono whitespace-nowrap">{r.tempC} °C</td>
                            <td className="pr-4">{r.by ?? (r.replaced ? 'changed' : '')}</td>
                            <td className="text-right">
                                {r.current && may.includes('read') && (
                                    <button
                                        type="button"
                                        className="min-h-9 px-2 text-sm underline underline-offset-4"
                                        onClick={() => setWrong(r)}
                                    >
                                        Correct
                                    </button>
                                )}
                                {!r.current && <span className="text-sm">{r.reason}</span>}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {reading && <Read bottle={bottle} today={today} onClose={() => setReading(false)} />}
            {wrong && <Wrong bottle={bottle} reading={wrong} onClose={() => setWrong(null)} />}
        </section>
    );
}

function Read({ bottle, today, onClose }: { bottle: Bottle; today: string; onClose: () => void }) {
    const [date, setDate] = useState(today);
    const [pressure, setPressure] = useState('');
    const [temp, setTemp] = useState('');
    const [replaced, setReplaced] = useState(false);
    const send = useSend(
        (body: { date: string; pressure: number; temp_c: number; replaced: boolean }, headers) =>
            take(api.POST('/api/components/{id}/readings', { params: { path: { id: bottle.component } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ date, pressure: typed(pressure), temp_c: typed(temp), replaced });
    };
    return (
        <Dialog open onClose={onClose} title={`${bottle.name}: a reading`}>
            <form onSubmit={submit} className="grid grid-cols-2 gap-4">
                <Field
                    label={`Gauge, ${bottle.unit}`}
                    name="pressure"
                    autoFocus
                    inputMode="decimal"
                    value={pressure}
                    onChange={(e) => setPressure(e.target.value)}
                />
                <Field
                    label="Temperature, °C"
                    name="temp_c"
                    inputMode="decimal"
                    value={temp}
                    onChange={(e) => setTemp(e.target.value)}
                    hint="of the bottle, not of the day"
                />
                <Field label="Read on" name="date" type="date" value={date} onChange={(e) => setDate(e.target.value)} />
                <label className="flex min-h-12 items-center gap-2 self-end">
                    <input
                        type="checkbox"
                        className="size-6 accent-spruce"
                        checked={replaced}
                        onChange={(e) => setReplaced(e.target.checked)}
                    />
                    changed or filled just before
                </label>
                <div className="col-span-2">
                    <Trouble error={send.error} />
                    <Button kind="main" big type="submit" disabled={send.isPending || pressure === '' || temp === ''}>
                        Save the reading
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}

function Wrong({ bottle, reading, onClose }: { bottle: Bottle; reading: Schemas['GaugeRow']; onClose: () => void }) {
    const [pressure, setPressure] = useState(String(reading.pressure));
    const [temp, setTemp] = useState(String(reading.tempC));
    const [reason, setReason] = useState('');
    const send = useSend(
        (body: { pressure: number | null; temp_c: number | null; reason: string }, headers) =>
            take(api.POST('/api/readings/{id}/correct', { params: { path: { id: reading.id } }, body, headers })),
        onClose,
    );
    return (
        <Dialog open onClose={onClose} title={`The reading of ${reading.date}`}>
            <p className="mb-3 text-soft">What was first entered stays to be seen; the trend is worked out anew.</p>
            <div className="grid grid-cols-2 gap-4">
                <Field
                    label={`Gauge, ${bottle.unit}`}
                    name="pressure"
                    inputMode="decimal"
                    value={pressure}
                    onChange={(e) => setPressure(e.target.value)}
                />
                <Field label="Temperature, °C" name="temp_c" inputMode="decimal" value={temp} onChange={(e) => setTemp(e.target.value)} />
                <Field
                    label="Why it was wrong"
                    name="reason"
                    className="col-span-2"
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                />
            </div>
            <Trouble error={send.error} />
            <div className="mt-4 flex gap-3">
                <Button
                    kind="main"
                    big
                    disabled={send.isPending || reason === ''}
                    onClick={() => send.mutate({ pressure: typed(pressure), temp_c: typed(temp), reason })}
                >
                    Correct it
                </Button>
                <Button
                    big
                    disabled={send.isPending || reason === ''}
                    onClick={() => send.mutate({ pressure: null, temp_c: null, reason })}
                >
                    Take it back
                </Button>
            </div>
        </Dialog>
    );
}

/** A number as typed, with a comma or a point; the server judges it. */
const typed = (text: string): number => Number(text.replace(',', '.'));
