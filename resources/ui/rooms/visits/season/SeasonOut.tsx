import { useState } from 'react';
import { plus } from '../../../parts/dates';
import { Pick } from '../../../parts/Pick';

/** The season as it is kept, taken elsewhere: a sheet a month, a table, a calendar. */
export function SeasonOut({ days, from }: { days: number; from: string }) {
    const months = [...new Set(Array.from({ length: days }, (_, n) => plus(from, n).slice(0, 7)))];
    const [month, setMonth] = useState(months[0] ?? from.slice(0, 7));
    const look =
        'inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold pointer-coarse:min-h-12';
    return (
        <section className="noprint mt-6 flex flex-wrap items-end gap-3" aria-label="On paper and in files">
            <div className="w-48">
                <Pick
                    small
                    label="The kept season on paper"
                    value={month}
                    onChange={setMonth}
                    options={months.map((m) => [
                        m,
                        new Date(`${m}-01T00:00:00Z`).toLocaleDateString('en-GB', {
                            month: 'long',
                            year: 'numeric',
                            timeZone: 'UTC',
                        }),
                    ])}
                />
            </div>
            {['A4', 'A3'].map((size) => (
                <a
                    key={size}
                    className={look}
                    href={`/api/season.pdf?month=${month}&size=${size}`}
                    target="_blank"
                    rel="noreferrer"
                >
                    {size}
                </a>
            ))}
            <a className={look} href={`/api/season.csv?days=${days}`} download>
                CSV
            </a>
            <a className={look} href={`/api/season.ics?days=${days}`} download>
                Calendar
            </a>
        </section>
    );
}
