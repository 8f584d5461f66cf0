import { useId, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAsOf } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { DateInput, whole } from '../../parts/DateInput';
import { plus, short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

const box = 'h-12 rounded-lg border-2 border-soft bg-sheet px-3';

/** Which aircraft cannot fly on a day to come, and why; the day and the base stay in the address. */
export function AsOf() {
    const [search, setSearch] = useSearchParams();
    const asked = Object.fromEntries(
        ['day', 'base'].flatMap((key) => (search.get(key) ? [[key, search.get(key)]] : [])),
    ) as Record<string, string>;
    const set = (key: string, value: string) =>
        setSearch(Object.fromEntries(Object.entries({ ...asked, [key]: value }).filter(([, v]) => v !== '')));
    return (
        <Wait query={useAsOf(asked)}>
            {(is) => (
                <Page
                    over={<Tabs label="Fleet" tabs={fleetViews} />}
                    sentence={is.sentence}
                    actions={
                        <>
                            <Button onClick={() => window.print()}>Print</Button>
                            <ButtonLink
                                reloadDocument
                                big={false}
                                to={`/api/as-of.csv?${new URLSearchParams({ ...asked, day: is.day })}`}
                            >
                                CSV
                            </ButtonLink>
                        </>
                    }
                >
                    <div className="noprint flex flex-wrap items-center gap-4">
                        <OnDay key={is.day} is={is} onDay={(day) => set('day', day)} />
                        {[1, 7, 30].map((ahead) => (
                            <Button key={ahead} onClick={() => set('day', plus(is.today, ahead))}>
                                {ahead === 1 ? 'tomorrow' : `in ${ahead} days`}
                            </Button>
                        ))}
                        <label className="flex items-center gap-2 font-semibold">
                            Base
                            <select
                                name="base"
                                value={asked.base ?? ''}
                                onChange={(e) => set('base', e.target.value)}
                                className={box}
                            >
                                <option value="">all bases</option>
                                {is.bases.map((b) => (
                                    <option key={b}>{b}</option>
                                ))}
                            </select>
                        </label>
                    </div>
                    <Rows rows={is.rows} />
                </Page>
            )}
        </Wait>
    );
}

function Rows({ rows }: { rows: Schemas['AsOfRow'][] }) {
    return (
        <table className="mt-6 w-full max-w-5xl">
            <thead>
                <tr className="border-b border-rule text-left text-sm">
                    {['State', 'Aircraft', 'Base', 'Why'].map((h) => (
                        <th key={h} className="py-2 pr-4">
                            {h}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {rows.map((r) => (
                    <tr key={r.mark} className="border-b border-rule/60 align-top" data-as-of={r.mark}>
                        <td className="py-2 pr-4 whitespace-nowrap">
                            <State state={r.state} word={r.word} />
                        </td>
                        <td className="py-2 pr-4 whitespace-nowrap">
                            <Link
                                className="font-mono font-bold underline underline-offset-4"
                                to={r.visitId === null ? `/fleet/${r.mark}` : `/visits/${r.visitId}`}
                            >
                                {r.mark}
                            </Link>{' '}
                            <span className="text-soft">{r.type}</span>
                        </td>
                        <td className="py-2 pr-4 whitespace-nowrap">{r.base}</td>
                        <td className="py-2">
                            {r.why.map((w) => (
                                <span key={w} className="block">
                                    {w}
                                </span>
                            ))}
                        </td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}

/** The day that is asked for: heard once it is whole and one that can be asked for. */
function OnDay({ is, onDay }: { is: Schemas['AsOfView']; onDay: (day: string) => void }) {
    const [typed, setTyped] = useState(is.day);
    const id = useId();
    const can = (day: string) => day >= is.today && day <= is.until;
    return (
        <div className="flex flex-wrap items-center gap-2">
            <label htmlFor={id} className="font-semibold">
                On
            </label>
            <span className="w-44">
                <DateInput
                    id={id}
                    name="day"
                    what="the day"
                    value={typed}
                    onChange={(e) => {
                        const day = e.target.value;
                        setTyped(day);
                        if (whole(day) && can(day) && day !== is.day) {
                            onDay(day);
                        }
                    }}
                    className={box}
                />
            </span>
            {whole(typed) && !can(typed) && (
                <span role="alert" className="text-rust">
                    Take a day from {short(is.today)} to {short(is.until)}.
                </span>
            )}
        </div>
    );
}
