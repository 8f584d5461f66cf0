import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { Section } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';

type Props = { aircraft: Schemas['AircraftView']; plan: boolean; chosen: string[]; onToggle: (key: string) => void };

const spans = [
    { value: 30, name: '30 days' },
    { value: 90, name: '90 days' },
    { value: 0, name: 'All' },
];

/** Every item of an aircraft and of what is fitted to it, the earliest first. */
export function Items({ aircraft, plan, chosen, onToggle }: Props) {
    const [open, setOpen] = useState<string | null>(null);
    const [days, setDays] = useState(0);
    const [filter, setFilter] = useState('');
    const words = filter.trim().toLowerCase();
    const items = aircraft.items.filter(
        (i) =>
            (days === 0 || (i.days !== null && i.days <= days)) &&
            (words === '' || `${i.code} ${i.title}`.toLowerCase().includes(words)),
    );
    return (
        <Section
            title={`${items.length === aircraft.items.length ? items.length : `${items.length} of ${aircraft.items.length}`} items, the earliest first`}
            aside={
                <div className="noprint flex items-center gap-3">
                    <input
                        value={filter}
                        onChange={(e) => setFilter(e.target.value)}
                        placeholder="Filter"
                        aria-label="Filter items"
                        className="h-8 w-40 rounded-md border border-rule bg-sheet px-2 placeholder:text-soft"
                    />
                    <Choice label="Within" options={spans} value={days} onChange={setDays} />
                </div>
            }
        >
            <table className="w-full text-left">
                <thead className="sticky top-0 z-10 bg-paper text-sm text-soft">
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
                    {items.map((i) => (
                        <ItemRow
                            key={i.key}
                            item={i}
                            today={aircraft.today}
                            plan={plan}
                            chosen={chosen.includes(i.key)}
                            onToggle={() => onToggle(i.key)}
                            open={open === i.key}
                            onOpen={() => setOpen(open === i.key ? null : i.key)}
                        />
                    ))}
                </tbody>
            </table>
            {aircraft.items.length === 0 && (
                <p className="py-4 text-soft">The type has no programme yet. Bring one in from Library.</p>
            )}
            {aircraft.items.length > 0 && items.length === 0 && <p className="py-4 text-soft">No item is like that.</p>}
        </Section>
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

/** Where what is no item of the programme is looked at. */
const linkOf = ({ key, readingId }: Schemas['DueView']) => {
    if (key.startsWith('deferral:')) return `/deferrals/${key.slice(9)}`;
    return readingId ? `/bench/trends/${readingId}` : null;
};

function ItemRow({ item, today, plan, chosen, onToggle, open, onOpen }: RowProps) {
    const link = linkOf(item);
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
                            disabled={item.visit !== null || item.card === ''}
                            onChange={onToggle}
                        />
                    </td>
                )}
                <td className="px-2">
                    <State state={item.state} />
                </td>
                <td className="px-2">
                    <span className="mr-2 font-mono text-sm text-soft">{item.code}</span>
                    {link === null ? (
                        item.title
                    ) : (
                        <Link className="underline underline-offset-4" to={link}>
                            {item.title}
                        </Link>
                    )}
                </td>
                <td className="px-2 whitespace-nowrap">
                    {item.date === null ? (item.readingId ? 'no date' : 'beyond 20 years') : short(item.date, today)}
                </td>
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
                            {item.card === ''
                                ? `By its trend; it ${item.rebase}`
                                : `Last done ${item.lastDone ?? 'never'}; ${item.rebase}. Card ${item.card}`}
                            {item.access.length > 0 && `; opens ${item.access.join(', ')}`}
                            {item.component && `; on ${item.component}`}.
                        </p>
                        <table className={`mt-2 text-sm ${item.limits.length === 0 ? 'hidden' : ''}`}>
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
                                        {[
                                            l.base,
                                            l.next,
                                            l.remaining,
                                            l.tolerance,
                                            l.forecast ?? '—',
                                            l.latest ?? '—',
                                        ].map((v, n) => (
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
