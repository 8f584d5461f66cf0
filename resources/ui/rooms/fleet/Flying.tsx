import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useHistory, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Months } from '../../parts/Months';
import { Scroll, Section, Trouble, Wait } from '../../parts/Page';
import { Correct, Enter } from './FlyingForms';

/** What an aircraft flew, month by month and day by day, and what was done to it. */
export function Flying({ aircraft, may }: { aircraft: Schemas['AircraftView']; may: boolean }) {
    return (
        <Wait query={useHistory(aircraft.mark)}>
            {(history) => <FlyingOf aircraft={aircraft} history={history} may={may} />}
        </Wait>
    );
}

function FlyingOf({
    aircraft,
    history,
    may,
}: {
    aircraft: Schemas['AircraftView'];
    history: Schemas['HistoryView'];
    may: boolean;
}) {
    const [entering, setEntering] = useState(false);
    const [wrong, setWrong] = useState<Schemas['FlyingView'] | null>(null);
    const [all, setAll] = useState(false);
    const [find, setFind] = useState('');
    const done = history.done.filter((d) =>
        `${d.date} ${short(d.date, aircraft.today)} ${d.code} ${d.title} ${d.by ?? ''} ${d.cardNumber ?? ''}`
            .toLowerCase()
            .includes(find.trim().toLowerCase()),
    );
    const cancel = useSend((id: number, headers) =>
        take(api.POST('/api/sectors/{id}/cancel', { params: { path: { id } }, headers })),
    );
    const th = 'py-1 pr-4 font-semibold';
    return (
        <>
            <Section
                title="Flown, by month"
                aside={
                    may && (
                        <Button kind="main" className="noprint" onClick={() => setEntering(true)}>
                            Enter a day's flying
                        </Button>
                    )
                }
            >
                <Months months={history.months} mean={aircraft.plan.rates.fh ?? 0} />
            </Section>
            <div className="grid grid-cols-2 gap-8">
                <Section title="Flown, by day">
                    <table className="w-full text-left">
                        <tbody>
                            {history.flying.slice(0, all ? undefined : 12).map((f) => (
                                <tr key={f.id} className="border-b border-rule/60" data-flown={f.date}>
                                    <td
                                        className={`py-1 pr-4 whitespace-nowrap ${f.current ? '' : 'text-soft line-through'}`}
                                    >
                                        {short(f.date, aircraft.today)}
                                    </td>
                                    <td className={`pr-4 ${f.current ? '' : 'text-soft line-through'}`}>{f.flown}</td>
                                    <td className="pr-4 text-sm text-soft">
                                        {f.reason
                                            ? `corrected: ${f.reason}`
                                            : { hand: 'by hand', feed: 'from the programme' }[f.source]}
                                        {f.by && `, ${f.by}`}
                                    </td>
                                    <td className="text-right">
                                        {may && f.current && (
                                            <button
                                                type="button"
                                                className="min-h-9 px-2 text-sm underline underline-offset-4"
                                                onClick={() => setWrong(f)}
                                            >
                                                Correct
                                            </button>
                                        )}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    {history.flying.length === 0 && <p className="py-4 text-soft">Nothing was entered yet.</p>}
                    {history.flying.length > 12 && (
                        <Button kind="quiet" className="text-sm" onClick={() => setAll(!all)}>
                            {all ? 'Fewer days' : `All ${history.flying.length} days`}
                        </Button>
                    )}
                    {aircraft.plan.sectors.length > 0 && (
                        <>
                            <h3 className="mt-5 border-b border-rule pb-1 font-semibold">Planned sectors</h3>
                            <Trouble error={cancel.error} />
                            {aircraft.plan.sectors.map((s) => (
                                <p
                                    key={s.id}
                                    className="flex items-baseline gap-2 border-b border-rule/60 py-1"
                                    data-sector={s.number}
                                >
                                    {short(s.date, aircraft.today)}{' '}
                                    <span className="font-mono text-sm text-soft">{s.number}</span>
                                    <span className="flex-1">
                                        {s.from} to {s.to}, {s.use}
                                    </span>
                                    {may && (
                                        <button
                                            type="button"
                                            className="min-h-9 px-2 text-sm underline underline-offset-4"
                                            disabled={cancel.isPending}
                                            onClick={() => cancel.mutate(s.id)}
                                        >
                                            cancel
                                        </button>
                                    )}
                                </p>
                            ))}
                        </>
                    )}
                    {aircraft.plan.week && (
                        <>
                            <h3 className="mt-5 border-b border-rule pb-1 font-semibold">Its week</h3>
                            <table className="w-full text-right">
                                <thead className="text-sm text-soft">
                                    <tr>
                                        <th />
                                        {['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((d) => (
                                            <th key={d} className="font-semibold">
                                                {d}
                                            </th>
                                        ))}
                                    </tr>
                                </thead>
                                <tbody>
                                    {Object.entries(aircraft.plan.week).map(([counter, days]) => (
                                        <tr key={counter} className="border-b border-rule/60">
                                            <td className="py-1 text-left">
                                                {aircraft.counters.find((c) => c.name === counter)?.title ?? counter}
                                            </td>
                                            {days.map((v, i) => (
                                                // biome-ignore lint/suspicious/noArrayIndexKey: the days of a week
                                                <td key={i} className="font-mono">
                                                    {v}
                                                </td>
                                            ))}
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        </>
                    )}
                </Section>
                <div>
                    <Section title="Done">
                        <Field
                            label="Find"
                            name="find-done"
                            placeholder="item, name, card or date"
                            value={find}
                            onChange={(e) => setFind(e.target.value)}
                        />
                        {done.length === 0 && (
                            <p className="py-3 text-soft">Nothing like that among the last {history.done.length}.</p>
                        )}
                        <Scroll label="Done" className="max-h-[30rem]">
                            <table className="w-full text-left">
                                <thead className="sticky top-0 bg-paper text-sm text-soft">
                                    <tr>
                                        <th className={th}>On</th>
                                        <th className={th}>Item</th>
                                        <th className={th}>By</th>
                                        <th className={th}>At</th>
                                    </tr>
                                </thead>
                                <tbody>
                                    {done.map((d) => (
                                        <tr
                                            key={d.date + d.code + d.title}
                                            className="border-b border-rule/60 align-top"
                                        >
                                            <td className="py-1 pr-4 whitespace-nowrap">
                                                {short(d.date, aircraft.today)}
                                            </td>
                                            <td className="pr-4">
                                                <span className="font-mono text-sm text-soft">{d.code}</span> {d.title}
                                            </td>
                                            <td className="pr-4 text-sm">
                                                {d.by ?? 'not known'}
                                                {d.card && (
                                                    <Link
                                                        className="block underline underline-offset-4"
                                                        to={`/floor/${d.card}`}
                                                    >
                                                        card {d.cardNumber}
                                                    </Link>
                                                )}
                                            </td>
                                            <td className="text-sm text-soft">{d.counters}</td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        </Scroll>
                    </Section>
                    <Section title="Components, on and off">
                        {history.fitted.map((f) => (
                            <p key={f.date + f.what + f.name} className="border-b border-rule/60 py-1">
                                {short(f.date, aircraft.today)} {f.name} <b>{f.what}</b>, {f.position}
                                <span className="block text-sm text-soft">
                                    {f.counters}
                                    {f.reason && `; ${f.reason}`}
                                </span>
                            </p>
                        ))}
                    </Section>
                </div>
            </div>
            {entering && <Enter aircraft={aircraft} onClose={() => setEntering(false)} />}
            {wrong && <Correct aircraft={aircraft} entry={wrong} onClose={() => setWrong(null)} />}
        </>
    );
}
