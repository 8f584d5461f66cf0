import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { typed } from '../../parts/fields';
import { Choice } from '../../parts/Tabs';
import type { Change } from './WhatIf';

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** What it flies: the same every day, or by the days of a week. */
export function Use({ aircraft, onAdd }: { aircraft: Schemas['AircraftView']; onAdd: (c: Change) => void }) {
    const [weekly, setWeekly] = useState(aircraft.plan.week !== null);
    const [rates, setRates] = useState<Record<string, string>>(
        Object.fromEntries(aircraft.counters.map((c) => [c.name, String(aircraft.plan.rates[c.name] ?? 0)])),
    );
    const [week, setWeek] = useState<Record<string, string[]>>(
        Object.fromEntries(
            aircraft.counters.map((c) => [
                c.name,
                (aircraft.plan.week?.[c.name] ?? days.map(() => aircraft.plan.rates[c.name] ?? 0)).map(String),
            ]),
        ),
    );
    const suppose = () =>
        onAdd({
            kind: 'use',
            mark: aircraft.mark,
            ...(weekly
                ? { week: Object.fromEntries(Object.entries(week).map(([k, v]) => [k, v.map(typed)])) }
                : { rates: Object.fromEntries(Object.entries(rates).map(([k, v]) => [k, typed(v)])), week: null }),
        });
    return (
        <div className="mt-4">
            <Choice
                label="How it flies"
                options={[
                    { value: 'week', name: 'by the days of a week' },
                    { value: 'same', name: 'the same every day' },
                ]}
                value={weekly ? 'week' : 'same'}
                onChange={(v) => setWeekly(v === 'week')}
            />
            {weekly ? (
                <table className="mt-3">
                    <thead className="text-sm text-soft">
                        <tr>
                            <th />
                            {days.map((d) => (
                                <th key={d} className="px-1 text-left font-semibold">
                                    {d}
                                </th>
                            ))}
                            <th className="px-3 text-left font-semibold">flown of late</th>
                        </tr>
                    </thead>
                    <tbody>
                        {aircraft.counters.map((c) => (
                            <tr key={c.name}>
                                <td className="pr-3 font-semibold">{c.title}</td>
                                {days.map((d, i) => (
                                    <td key={d} className="p-1">
                                        <input
                                            aria-label={`${c.title}, ${d}`}
                                            inputMode="decimal"
                                            className="h-10 w-16 rounded-lg border-2 border-soft bg-paper px-2 font-mono"
                                            value={week[c.name]?.[i] ?? ''}
                                            onChange={(e) =>
                                                setWeek({
                                                    ...week,
                                                    [c.name]: (week[c.name] ?? []).map((v, n) =>
                                                        n === i ? e.target.value : v,
                                                    ),
                                                })
                                            }
                                        />
                                    </td>
                                ))}
                                <td className="px-3 text-soft">{c.flown === null ? '' : `${c.flown} a day`}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            ) : (
                <div className="mt-3 flex flex-wrap gap-4">
                    {aircraft.counters.map((c) => (
                        <Field
                            key={c.name}
                            className="w-44"
                            label={`${c.title} a day`}
                            name={`rate-${c.name}`}
                            inputMode="decimal"
                            value={rates[c.name] ?? ''}
                            hint={c.flown === null ? undefined : `flown of late: ${c.flown}`}
                            onChange={(e) => setRates({ ...rates, [c.name]: e.target.value })}
                        />
                    ))}
                </div>
            )}
            <Button big className="mt-3" onClick={suppose}>
                Try it
            </Button>
        </div>
    );
}
