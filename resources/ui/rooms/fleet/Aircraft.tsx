import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAircraft, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Section, Wait } from '../../parts/Page';
import { Reach } from '../../parts/Reach';
import { State } from '../../parts/State';
import { MakeVisit } from './MakeVisit';

/** One aircraft: how far it goes, its counters, and every item with what drives it. */
export function Aircraft() {
    return <Wait query={useAircraft(useParams().mark ?? '')}>{(a) => <AircraftOf key={a.mark} aircraft={a} />}</Wait>;
}

function AircraftOf({ aircraft }: { aircraft: Schemas['AircraftView'] }) {
    const may = useMe().data?.may ?? [];
    const [chosen, setChosen] = useState<number[]>([]);
    const [open, setOpen] = useState<number | null>(null);
    const [making, setMaking] = useState(false);
    const plan = may.includes('plan');
    const toggle = (id: number) => setChosen((c) => (c.includes(id) ? c.filter((x) => x !== id) : [...c, id]));
    const hours = aircraft.items.filter((i) => chosen.includes(i.id)).reduce((sum, i) => sum + i.hours, 0);
    return (
        <Page
            over={
                <>
                    <b className="font-mono text-ink">{aircraft.mark}</b> · {aircraft.typeName} · {aircraft.fleet}, {aircraft.base} ·{' '}
                    {aircraft.arrangement}
                </>
            }
            sentence={aircraft.sentence}
            note={
                aircraft.safing > 0
                    ? `${aircraft.safing} safing ${aircraft.safing === 1 ? 'device is' : 'devices are'} fitted now.`
                    : undefined
            }
            actions={
                plan ? (
                    <Button kind="main" disabled={chosen.length === 0} onClick={() => setMaking(true)}>
                        {chosen.length === 0 ? 'Make a visit: choose items' : `Make a visit of ${chosen.length}, ${hours} h`}
                    </Button>
                ) : undefined
            }
        >
            <div className="flex items-center gap-4">
                <State state={aircraft.state} />
                <div className="flex-1">
                    <Reach row={aircraft.reach} horizon={90} />
                </div>
                <span className="text-sm text-soft">90 days</span>
            </div>
            <div className="mt-4 flex flex-wrap gap-x-10 gap-y-2">
                {aircraft.counters.map((c) => (
                    <div key={c.name}>
                        <div className="text-sm text-soft">{c.title}</div>
                        <div className="font-mono text-[1.3rem]" data-counter={c.name}>
                            {c.value.toLocaleString('en-GB')}
                        </div>
                        <div className="text-sm text-soft">{c.rate} a day</div>
                    </div>
                ))}
                <div>
                    <div className="text-sm text-soft">Counted to the end of</div>
                    <div className="text-[1.3rem]">{short(aircraft.countersAsOf, aircraft.countersAsOf)}</div>
                </div>
                <div>
                    <div className="text-sm text-soft">Last flown</div>
                    <div className="text-[1.05rem]">
                        {aircraft.flying[0]
                            ? `${short(aircraft.flying[0].date, aircraft.countersAsOf)}: ${aircraft.flying[0].flown}`
                            : 'nothing entered'}
                    </div>
                </div>
            </div>
            <Section title={`${aircraft.items.length} items, the earliest first`}>
                <table className="w-full text-left">
                    <thead className="sticky top-0 bg-paper text-sm text-soft">
                        <tr>
                            {plan && <th className="w-10 py-1.5 font-semibold">Take</th>}
                            {['State', 'Item', 'Due', 'Left', 'Limits', 'Hours', 'Visit', ''].map((h) => (
                                <th key={h} className="px-2 py-1.5 font-semibold">
                                    {h}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {aircraft.items.map((i) => (
                            <ItemRow
                                key={i.id}
                                item={i}
                                today={aircraft.countersAsOf}
                                plan={plan}
                                chosen={chosen.includes(i.id)}
                                onToggle={() => toggle(i.id)}
                                open={open === i.id}
                                onOpen={() => setOpen(open === i.id ? null : i.id)}
                            />
                        ))}
                    </tbody>
                </table>
                {aircraft.items.length === 0 && <p className="py-4 text-soft">The type has no programme yet. Bring one in from Library.</p>}
            </Section>
            {making && <MakeVisit aircraft={aircraft} items={chosen} onClose={() => setMaking(false)} />}
        </Page>
    );
}

type RowProps = {
    item: Schemas['DueView'];
    today: string;
    plan: boolean;
    chosen: boolean;
    onToggle: () => void;
    open: boolean;
    onOpen: () => void;
};

function ItemRow({ item, today, plan, chosen, onToggle, open, onOpen }: RowProps) {
    return (
        <>
            <tr
                className={`border-t border-rule/60 ${chosen ? 'bg-sheet shadow-[inset_5px_0_0_var(--spruce)]' : ''}`}
                data-item={item.code}
            >
                {plan && (
                    <td className="py-1.5">
                        <input
                            type="checkbox"
                            className="block size-6 accent-spruce"
                            aria-label={`Take ${item.title}`}
                            checked={chosen}
                            disabled={item.visit !== null}
                            onChange={onToggle}
                        />
                    </td>
                )}
                <td className="px-2">
                    <State state={item.state} />
                </td>
                <td className="px-2">
                    <span className="mr-2 font-mono text-sm text-soft">{item.code}</span>
                    {item.title}
                </td>
                <td className="px-2 whitespace-nowrap">{item.date === null ? 'beyond 20 years' : short(item.date, today)}</td>
                <td className="px-2 whitespace-nowrap">{item.remaining}</td>
                <td className="px-2 text-sm text-soft">{item.rule}</td>
                <td className="px-2 text-right font-mono">{item.hours}</td>
                <td className="px-2 text-sm">{item.visit}</td>
                <td className="text-right">
                    <button
                        type="button"
                        className="min-h-9 px-2 text-sm underline underline-offset-4"
                        aria-expanded={open}
                        aria-label={`Why ${item.title}`}
                        onClick={onOpen}
                    >
                        why
                    </button>
                </td>
            </tr>
            {open && (
                <tr className="bg-sheet">
                    <td colSpan={plan ? 9 : 8} className="px-4 py-3">
                        <p className="text-sm text-soft">
                            Last done {item.lastDone ?? 'never'}; {item.rebase}. Card {item.card}.
                        </p>
                        <table className="mt-2 text-sm">
                            <thead className="text-soft">
                                <tr>
                                    {['', 'from', 'next', 'left', 'tolerance', 'forecast', 'latest'].map((h) => (
                                        <th key={h} className="pr-6 text-left font-semibold">
                                            {h}
                                        </th>
                                    ))}
                                </tr>
                            </thead>
                            <tbody>
                                {item.limits.map((l) => (
                                    <tr key={l.unit}>
                                        <td className="pr-6">
                                            <State state={l.state} word={l.drives ? `${l.unit}, drives` : l.unit} />
                                        </td>
                                        {[l.base, l.next, l.remaining, l.tolerance, l.forecast ?? '—', l.latest ?? '—'].map((v, n) => (
                                            // biome-ignore lint/suspicious/noArrayIndexKey: fixed columns
                                            <td key={n} className="pr-6 font-mono">
                                                {v}
                                            </td>
                                        ))}
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </td>
                </tr>
            )}
        </>
    );
}
