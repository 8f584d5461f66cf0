import { type FormEvent, useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useMe, useSend, useWindow } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { DayLabels } from '../../parts/DayLabels';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Section, Trouble, Wait } from '../../parts/Page';
import { ticks } from '../../parts/scale';
import { VisitPage } from './VisitPage';

const one = (v: number) => v.toLocaleString('en-GB', { maximumFractionDigits: 1 });
const percent = (v: number) => `${Math.round(100 * v)} %`;

/** The look window and the fix window: what is still going to be found, and whether there is time to fix it. */
export function Window() {
    return <Wait query={useWindow(Number(useParams().id))}>{(w) => <WindowOf w={w} />}</Wait>;
}

function WindowOf({ w }: { w: Schemas['WindowView'] }) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const [setting, setSetting] = useState(false);
    return (
        <VisitPage
            visit={w}
            verdict={w.verdict}
            sentence={w.sentence}
            note={`Look until ${short(w.lookUntil, w.lookUntil)}${w.lookSet ? '' : ' as planned'}, fix until ${short(w.fixUntil, w.lookUntil)}. ${w.byHand ?? `Expected from ${w.past.length} past inspections of the type.`}`}
            actions={may && <Button onClick={() => setSetting(true)}>Judge it otherwise</Button>}
        >
            <div className="grid grid-cols-1 gap-8 lg:grid-cols-[3fr_2fr]">
                <Forecast w={w} />
                <div>
                    <h2 className="mb-2 font-semibold">Hours until it must leave</h2>
                    <Room w={w} />
                    <h2 className="mt-6 mb-2 font-semibold">What can be done</h2>
                    <ul className="divide-y divide-rule/70">
                        {w.levers.map((l) => (
                            <li key={l.what} className="flex items-center justify-between gap-4 py-1.5" data-lever={l.what}>
                                <span>{l.what}</span>
                                <span className="whitespace-nowrap">
                                    {l.words.split(' to ')[0]} to <b>{l.words.split(' to ')[1]}</b>
                                </span>
                            </li>
                        ))}
                    </ul>
                    <p className="mt-2 text-sm text-soft">The chance that the fix window holds, before and after. You decide.</p>
                </div>
            </div>
            <Section title={`Past inspections of the ${w.type}`}>
                {w.past.length === 0 ? (
                    <p className="text-soft">None yet: a wide guess is used until visits of this type have been released.</p>
                ) : (
                    <table className="w-full max-w-4xl text-left">
                        <thead>
                            <tr className="border-b border-rule text-soft">
                                {['Aircraft', 'Inspection', 'Ended', 'Hours looked', 'Findings', 'In 100 h', 'Hours to fix'].map((h) => (
                                    <th key={h} className="py-1 pr-4 font-normal">
                                        {h}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {w.past.map((p) => (
                                <tr key={p.mark + p.ended} className="border-b border-rule/70">
                                    <td className="py-1 font-mono">{p.mark}</td>
                                    <td>{p.title}</td>
                                    <td>{p.ended}</td>
                                    <td>{one(p.hours)}</td>
                                    <td>{p.findings}</td>
                                    <td>{one(p.perHundred)}</td>
                                    <td>{one(p.fixHours)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </Section>
            {setting && <Judge w={w} onClose={() => setSetting(false)} />}
        </VisitPage>
    );
}

/** Findings expected in all, day by day, with their range; found so far as a step; the chance beneath. */
function Forecast({ w }: { w: Schemas['WindowView'] }) {
    const n = Math.max(2, w.days.length);
    const top = Math.max(5, ...w.days.map((d) => d.high)) * 1.08;
    const x = (i: number) => 46 + (i / (n - 1)) * 560;
    const y = (v: number) => 210 - (v / top) * 190;
    const c = (v: number) => 320 - v * 80;
    const up = w.days.map((d, i) => `${x(i)},${y(d.high)}`);
    const down = w.days.map((d, i) => `${x(i)},${y(d.low)}`).reverse();
    const last = w.days[w.days.length - 1];
    return (
        <figure>
            <figcaption className="mb-2 font-semibold">
                {w.found} found in {one(w.lookDone)} h looked, {one(w.lookLeft)} h left to look; {Math.round(w.found + w.expectedMore)}{' '}
                expected in all, {w.found + w.low} to {w.found + w.high} in eight cases of ten
            </figcaption>
            <svg
                viewBox="0 0 660 352"
                className="w-full"
                role="img"
                aria-label="Findings expected and found by day, and the chance that the fix window holds"
            >
                {ticks([0, top], 4).map((t) => (
                    <g key={t}>
                        <line x1="46" x2="606" y1={y(t)} y2={y(t)} className="stroke-rule" />
                        <text x="38" y={y(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                            {t}
                        </text>
                    </g>
                ))}
                <polygon points={[...up, ...down].join(' ')} className="fill-shade" />
                <polyline
                    points={w.days.map((d, i) => `${x(i)},${y(d.expected)}`).join(' ')}
                    className="fill-none stroke-ink"
                    strokeWidth="2"
                    strokeDasharray="6 4"
                />
                <path
                    d={w.days.map((d, i) => `${i === 0 ? 'M' : 'H'}${x(i)}${i === 0 ? ' ' : 'V'}${y(d.found)}`).join('')}
                    className="fill-none stroke-spruce"
                    strokeWidth="3"
                />
                {last && (
                    <>
                        <text x={x(w.days.length - 1) + 6} y={y(last.expected) + 4} className="fill-ink text-[13px]">
                            {Math.round(last.expected)}
                        </text>
                        <text x={x(w.days.length - 1) + 6} y={y(last.found) + 4} className="fill-spruce text-[13px] font-semibold">
                            {last.found}
                        </text>
                    </>
                )}
                {[0, 0.5, 1].map((t) => (
                    <g key={t}>
                        <line x1="46" x2="606" y1={c(t)} y2={c(t)} className="stroke-rule" />
                        <text x="38" y={c(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                            {100 * t} %
                        </text>
                    </g>
                ))}
                <polyline
                    points={w.days.map((d, i) => `${x(i)},${c(d.chance)}`).join(' ')}
                    className="fill-none stroke-rust"
                    strokeWidth="2.5"
                />
                {last && (
                    <text x={x(w.days.length - 1) + 6} y={c(last.chance) + 4} className="fill-rust text-[13px] font-semibold">
                        {percent(last.chance)}
                    </text>
                )}
                <DayLabels days={w.days} at={x} y={342} said={(t) => t.slice(0, 6)} />
            </svg>
            <p className="text-sm text-soft">
                Stepped: found. Dashed: expected in all, with its range. Beneath: the chance that the fix window holds.
            </p>
        </figure>
    );
}

/** Usable hours, and what takes them. */
function Room({ w }: { w: Schemas['WindowView'] }) {
    const usable = w.capacity + w.otherWork;
    const of = Math.max(usable, w.otherWork + w.openFix + w.expectedFix, 1);
    const wide = (v: number) => (v / of) * 400;
    const parts = [
        { name: 'other cards', hours: w.otherWork, look: 'fill-shade stroke-soft' },
        { name: 'fixes known', hours: w.openFix, look: 'fill-spruce stroke-spruce' },
        { name: 'fixes expected', hours: w.expectedFix, look: 'fill-spruce-wash stroke-spruce' },
    ];
    let at = 0;
    return (
        <>
            <svg viewBox="0 0 410 34" className="w-full" aria-hidden="true">
                {parts.map((p) => {
                    const from = at;
                    at += wide(p.hours);
                    return <rect key={p.name} x={from} y="4" width={Math.max(0, wide(p.hours))} height="22" className={p.look} />;
                })}
                <line x1={wide(usable)} x2={wide(usable)} y1="0" y2="32" className="stroke-rust" strokeWidth="3" />
            </svg>
            <dl className="grid grid-cols-[1fr_auto] gap-x-4">
                {[...parts.map((p) => [p.name, p.hours] as const), ['usable, of those people are there', usable] as const].map(
                    ([name, h]) => (
                        <div key={name} className="contents">
                            <dt className="text-soft first-letter:uppercase">{name}</dt>
                            <dd className="text-right font-mono">{one(h)} h</dd>
                        </div>
                    ),
                )}
            </dl>
        </>
    );
}

function Judge({ w, onClose }: { w: Schemas['WindowView']; onClose: () => void }) {
    const [look, setLook] = useState(w.lookUntil);
    const [rate, setRate] = useState(one(w.perHundred));
    const [worth, setWorth] = useState(String(Math.round(w.worthHours)));
    const [reason, setReason] = useState('');
    const send = useSend(
        (body: { look_until: string | null; prior: { per_hundred: number; worth_hours: number } | null; reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/window', { params: { path: { id: w.id } }, body, headers })),
        onClose,
    );
    const number = (t: string) => Number(t.replace(',', '.'));
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ look_until: look, prior: { per_hundred: number(rate), worth_hours: number(worth) }, reason });
    };
    return (
        <Dialog open onClose={onClose} title="Judge the windows otherwise">
            <form onSubmit={submit} className="mt-3 space-y-3">
                <Field label="Look until" name="look" type="date" required value={look} onChange={(e) => setLook(e.target.value)} />
                <Field
                    label="Findings to expect in 100 hours of looking"
                    name="rate"
                    inputMode="decimal"
                    required
                    value={rate}
                    onChange={(e) => setRate(e.target.value)}
                />
                <Field
                    label="Worth how many hours of experience: more means that what is found counts for less"
                    name="worth"
                    inputMode="decimal"
                    required
                    value={worth}
                    onChange={(e) => setWorth(e.target.value)}
                />
                <Field label="Why" name="reason" required value={reason} onChange={(e) => setReason(e.target.value)} />
                <Trouble error={send.error} />
                <div className="flex gap-2">
                    <Button kind="main" type="submit" disabled={send.isPending}>
                        Apply
                    </Button>
                    {w.byHand && (
                        <Button
                            disabled={send.isPending}
                            onClick={() =>
                                send.mutate({ look_until: look, prior: null, reason: reason === '' ? 'back to the history' : reason })
                            }
                        >
                            Back to the type's history
                        </Button>
                    )}
                </div>
            </form>
        </Dialog>
    );
}
