import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, Failure, type Schemas, take } from '../../api/client';
import { useAircraft, useFleet, useMe, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { Reach } from '../../parts/Reach';
import { State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

type Change = NonNullable<Schemas['Supposed']['changes']>[number];
type Kind = Change['kind'];

const kinds: readonly { value: Kind; name: string }[] = [
    { value: 'use', name: 'It flies more or less' },
    { value: 'visit', name: 'A visit slips' },
    { value: 'base', name: 'It moves to another base' },
];

/** A supposed change, with dates before and after; nothing is saved until told. */
export function WhatIf() {
    return <Wait query={useFleet()}>{(fleet) => <WhatIfOf fleet={fleet} />}</Wait>;
}

function WhatIfOf({ fleet }: { fleet: Schemas['FleetView'] }) {
    const [params, setParams] = useSearchParams();
    const marks = fleet.rows.map((r) => r.mark).sort();
    const mark = params.get('mark') ?? fleet.first ?? marks[0] ?? '';
    const may = useMe().data?.may ?? [];
    const [kind, setKind] = useState<Kind>('use');
    const [changes, setChanges] = useState<Change[]>([]);
    const [view, setView] = useState<Schemas['WhatIfView'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const [saved, setSaved] = useState(false);
    const apply = useSend(
        (body: { changes: Change[]; base: string }, headers) => take(api.POST('/api/what-if/apply', { body, headers })),
        () => {
            setSaved(true);
            setChanges([]);
        },
    );
    const look = async (all: Change[]) => {
        setError(null);
        setSaved(false);
        apply.reset();
        setChanges(all);
        if (all.length === 0) {
            setView(null);
            return;
        }
        try {
            setView(await take(api.POST('/api/what-if', { body: { changes: all, base: '' } })));
        } catch (e) {
            setChanges(changes);
            setError(e instanceof Failure ? e : new Failure(0, 'It could not be worked out.'));
        }
    };
    const bases = [...new Set(fleet.rows.map((r) => r.base))];
    const overdue = view?.aircraft.some((a) => a.items.some((i) => i.trouble !== null)) ?? false;
    return (
        <Page
            over={<Tabs label="Fleet" tabs={fleetViews} />}
            sentence={
                saved
                    ? 'Saved. The dates below are the fleet’s dates now.'
                    : (view?.sentence ?? 'Suppose a change, and see what it does to every date.')
            }
            note={saved || view ? undefined : 'Nothing is saved until you say so.'}
            actions={
                view && !saved && may.includes('keep') ? (
                    <Button kind="main" disabled={apply.isPending || overdue} onClick={() => apply.mutate({ changes, base: view.base })}>
                        {apply.isPending ? 'Saving…' : 'Save'}
                    </Button>
                ) : undefined
            }
        >
            {may.includes('keep') ? (
                <div className="rounded-xl border border-rule bg-sheet p-4">
                    <div className="flex flex-wrap items-center gap-4">
                        <label className="font-semibold">
                            Aircraft{' '}
                            <select
                                name="mark"
                                className="ml-2 h-10 rounded-lg border-2 border-soft bg-paper px-2 font-mono"
                                value={mark}
                                onChange={(e) => setParams({ mark: e.target.value }, { replace: true })}
                            >
                                {marks.map((m) => (
                                    <option key={m}>{m}</option>
                                ))}
                            </select>
                        </label>
                        <Choice label="What changes" options={kinds} value={kind} onChange={setKind} />
                    </div>
                    <Suppose key={mark + kind} mark={mark} kind={kind} bases={bases} onAdd={(c) => void look([...changes, c])} />
                    {changes.length > 0 && (
                        <ul className="mt-3 flex flex-wrap gap-2">
                            {changes.map((c) => (
                                <li key={JSON.stringify(c)} className="flex items-center gap-2 rounded-lg bg-shade px-3 py-1">
                                    {words(c)}
                                    <button
                                        type="button"
                                        className="underline underline-offset-4"
                                        aria-label={`Leave out: ${words(c)}`}
                                        onClick={() => void look(changes.filter((x) => x !== c))}
                                    >
                                        leave out
                                    </button>
                                </li>
                            ))}
                        </ul>
                    )}
                    <Trouble error={error ?? apply.error} />
                </div>
            ) : (
                <p className="text-soft">A controller supposes changes here.</p>
            )}
            {view?.aircraft.map((a) => (
                <BeforeAfter key={a.mark} row={a} today={fleet.today} />
            ))}
        </Page>
    );
}

const words = (c: Change): string =>
    c.kind === 'visit'
        ? `${c.mark ?? 'visit'}: from ${c.start} to ${c.end}`
        : c.kind === 'base'
          ? `${c.mark} to ${c.base}`
          : c.week
            ? `${c.mark}: ${Object.entries(c.week)
                  .map(([k, v]) => `${v.join(' ')} ${k}`)
                  .join('; ')} by weekday`
            : `${c.mark}: ${Object.entries(c.rates ?? {})
                  .map(([k, v]) => `${v} ${k}`)
                  .join(', ')} a day`;

function Suppose({ mark, kind, bases, onAdd }: { mark: string; kind: Kind; bases: string[]; onAdd: (c: Change) => void }) {
    return <Wait query={useAircraft(mark)}>{(a) => <SupposeOf aircraft={a} kind={kind} bases={bases} onAdd={onAdd} />}</Wait>;
}

function SupposeOf({
    aircraft,
    kind,
    bases,
    onAdd,
}: {
    aircraft: Schemas['AircraftView'];
    kind: Kind;
    bases: string[];
    onAdd: (c: Change) => void;
}) {
    const visit = aircraft.reach.visits[0];
    const [start, setStart] = useState(visit ? dayAt(aircraft.today, visit.from) : '');
    const [end, setEnd] = useState(visit ? dayAt(aircraft.today, visit.to) : '');
    const [base, setBase] = useState(bases.find((b) => b !== aircraft.base) ?? '');
    const line = 'mt-4 flex flex-wrap items-end gap-4';
    if (kind === 'visit') {
        return visit ? (
            <div className={line}>
                <p className="pb-3 font-semibold">{visit.title}</p>
                <Field label="First day" name="start" type="date" value={start} onChange={(e) => setStart(e.target.value)} />
                <Field label="Last day" name="end" type="date" value={end} onChange={(e) => setEnd(e.target.value)} />
                <Button big onClick={() => onAdd({ kind, id: visit.id, mark: aircraft.mark, start, end })}>
                    Try it
                </Button>
            </div>
        ) : (
            <p className="mt-4 text-soft">{aircraft.mark} has no visit planned.</p>
        );
    }
    if (kind === 'base') {
        return (
            <div className={line}>
                <label className="font-semibold">
                    From {aircraft.base} to{' '}
                    <select
                        name="base"
                        className="ml-2 h-12 rounded-lg border-2 border-soft bg-paper px-2"
                        value={base}
                        onChange={(e) => setBase(e.target.value)}
                    >
                        {bases
                            .filter((b) => b !== aircraft.base)
                            .map((b) => (
                                <option key={b}>{b}</option>
                            ))}
                    </select>
                </label>
                <Button big disabled={base === ''} onClick={() => onAdd({ kind, mark: aircraft.mark, base })}>
                    Try it
                </Button>
            </div>
        );
    }
    return <Use aircraft={aircraft} onAdd={onAdd} />;
}

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const typed = (v: string): number => Number(v.replace(',', '.'));

/** What it flies: the same every day, or by the days of a week. */
function Use({ aircraft, onAdd }: { aircraft: Schemas['AircraftView']; onAdd: (c: Change) => void }) {
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
                                                    [c.name]: (week[c.name] ?? []).map((v, n) => (n === i ? e.target.value : v)),
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

const dayAt = (today: string, days: number): string =>
    new Date(Date.parse(`${today}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);

function BeforeAfter({ row, today }: { row: Schemas['WhatIfRow']; today: string }) {
    return (
        <Section title={`${row.mark}: ${row.items.length} ${row.items.length === 1 ? 'date moves' : 'dates move'}`}>
            <div className="grid grid-cols-[4.5rem_6rem_1fr_20rem] items-center gap-x-3 gap-y-1" data-testid={`what-if-${row.mark}`}>
                {(['before', 'after'] as const).map((when) => (
                    <div key={when} className="contents">
                        <b>{when}</b>
                        <State state={row[when].state} />
                        <Reach row={{ ...row[when], mark: `${row.mark}-${when}` }} horizon={90} />
                        <span className="truncate">
                            {row[when].stop ? `${short(row[when].stop.date, today)} ${row[when].stop.title}` : 'nothing stops it'}
                        </span>
                    </div>
                ))}
            </div>
            {row.items.length > 0 && (
                <table className="mt-3 w-full text-left">
                    <thead className="text-sm text-soft">
                        <tr>
                            {['Item', 'What', 'Before', 'After', 'Moves', ''].map((h) => (
                                <th key={h} className="py-1 pr-4 font-semibold">
                                    {h}
                                </th>
                            ))}
                        </tr>
                    </thead>
                    <tbody>
                        {row.items.map((i) => (
                            <tr key={i.key} className="border-t border-rule/60" data-moved={i.code}>
                                <td className="py-1 pr-4 font-mono">{i.code}</td>
                                <td className="pr-4">{i.title}</td>
                                <td className="pr-4 whitespace-nowrap">{short(i.before, today)}</td>
                                <td className="pr-4 font-semibold whitespace-nowrap">{short(i.after, today)}</td>
                                <td className="pr-4 whitespace-nowrap">
                                    {i.days === null ? '' : `${i.days > 0 ? '+' : ''}${i.days} ${Math.abs(i.days) === 1 ? 'day' : 'days'}`}
                                </td>
                                <td>{i.trouble && <State state="stop" word={i.trouble} />}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </Section>
    );
}
