import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useBottles, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Heads } from '../../parts/Heads';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Trend } from '../../parts/Trend';
import { Read, Wrong } from './BottleForms';
import { fleetViews } from './views';

export type Bottle = Schemas['BottleView'];

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
                                <span className="whitespace-nowrap">
                                    {b.date === null ? 'does not fall' : short(b.date, room.today)}
                                </span>
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
                    {bottle.partNo}; minimum {bottle.minimum} {bottle.unit} at {bottle.reference} °C.
                </span>
            </p>
            <Trend bottle={bottle} />
            {may.includes('read') && (
                <Button kind="main" big onClick={() => setReading(true)}>
                    Enter a reading
                </Button>
            )}
            <table className="mt-4 w-full text-left">
                <Heads of={['Read on', 'Gauge', 'At', 'By', '']} />
                <tbody>
                    {bottle.readings.slice(0, 12).map((r) => (
                        <tr
                            key={r.id}
                            className={`border-t border-rule/60 ${r.current ? '' : 'text-soft line-through'}`}
                        >
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
