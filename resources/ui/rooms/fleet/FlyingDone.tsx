import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Scroll, Section } from '../../parts/Page';

/** What was done to an aircraft, by whom and on which card, and what was fitted and removed. */
export function FlyingDone({
    aircraft,
    history,
}: {
    aircraft: Schemas['AircraftView'];
    history: Schemas['HistoryView'];
}) {
    const [find, setFind] = useState('');
    const done = history.done.filter((d) =>
        `${d.date} ${short(d.date, aircraft.today)} ${d.code} ${d.title} ${d.by ?? ''} ${d.cardNumber ?? ''}`
            .toLowerCase()
            .includes(find.trim().toLowerCase()),
    );
    const th = 'py-1 pr-4 font-semibold';
    return (
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
                                <tr key={d.date + d.code + d.title} className="border-b border-rule/60 align-top">
                                    <td className="py-1 pr-4 whitespace-nowrap">{short(d.date, aircraft.today)}</td>
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
    );
}
