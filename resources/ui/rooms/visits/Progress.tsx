import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useProgress } from '../../api/hooks';
import { DayLabels } from '../../parts/DayLabels';
import { Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { ticks } from '../../parts/scale';
import { VisitPage } from './VisitPage';

const one = (v: number) => v.toLocaleString('en-GB', { maximumFractionDigits: 1 });

/** How a visit goes: cards and hours day by day, findings, and how the forecast of the exit has moved. */
export function Progress() {
    return (
        <Wait query={useProgress(Number(useParams().id))}>
            {(p) => (
                <VisitPage
                    visit={p}
                    verdict={p.verdict}
                    sentence={p.sentence}
                    note={`${one(p.worked)} of ${one(p.hours)} planned hours are worked, and took ${one(p.spent)} h.`}
                >
                    {p.days.length === 0 ? (
                        <p className="text-soft">The visit has not begun. Its days will stand here.</p>
                    ) : (
                        <>
                            <div className="grid grid-cols-1 gap-8 lg:grid-cols-2">
                                <Exit p={p} />
                                <Hours days={p.days} />
                            </div>
                            <Days days={p.days} />
                        </>
                    )}
                </VisitPage>
            )}
        </Wait>
    );
}

/** The exit as it was forecast each day, against the day it must leave. */
function Exit({ p }: { p: Schemas['ProgressView'] }) {
    const n = Math.max(2, p.days.length);
    const top = Math.max(p.mustDays, ...p.days.map((d) => d.exitDays ?? 0)) * 1.12;
    const x = (i: number) => 60 + (i / (n - 1)) * 330;
    const y = (v: number) => 210 - (v / top) * 185;
    const known = p.days.flatMap((d, i) => (d.exitDays === null ? [] : [{ d, i, v: d.exitDays }]));
    const last = known[known.length - 1];
    return (
        <figure>
            <figcaption className="mb-2 font-semibold">When it leaves, as forecast each day</figcaption>
            <svg viewBox="0 0 520 240" className="w-full" role="img" aria-label="Forecast of the exit by day">
                <line
                    x1="60"
                    x2="500"
                    y1={y(p.mustDays)}
                    y2={y(p.mustDays)}
                    className="stroke-rust"
                    strokeWidth="2"
                    strokeDasharray="5 4"
                />
                <text x="60" y={y(p.mustDays) - 6} className="fill-rust text-[13px] font-semibold">
                    must leave {p.must}
                </text>
                <line x1={x(0)} x2={x(n - 1)} y1={y(0)} y2={y(n - 1)} className="stroke-rule" strokeWidth="2" />
                <text x={x(n - 1) - 4} y={y(n - 1) + 20} textAnchor="end" className="fill-soft text-[12px]">
                    today
                </text>
                <path
                    d={known.map(({ i, v }, k) => `${k === 0 ? `M${x(i)} ` : `H${x(i)}V`}${y(v)}`).join('')}
                    className="fill-none stroke-ink"
                    strokeWidth="2.5"
                />
                {known.map(({ d, i, v }) => (
                    <circle key={d.date} cx={x(i)} cy={y(v)} r="4" className="fill-ink">
                        <title>{`${d.words}: ${d.exit}`}</title>
                    </circle>
                ))}
                {last && (
                    <text x={x(last.i) + 10} y={y(last.v) + 5} className="fill-ink text-[13px] font-semibold">
                        {last.d.exit}
                    </text>
                )}
                <DayLabels days={p.days} at={x} y={232} said={(t) => t.slice(4, 10)} />
            </svg>
        </figure>
    );
}

/** Hours that the cards closed on a day took, beside what was planned for them. */
function Hours({ days }: { days: Schemas['ProgressDay'][] }) {
    const top = Math.max(4, ...days.map((d) => Math.max(d.planned, d.spent))) * 1.1;
    const wide = 430 / days.length;
    const y = (v: number) => 210 - (v / top) * 190;
    return (
        <figure>
            <figcaption className="mb-2 font-semibold">
                Hours of the cards closed each day: planned (outline) and burnt (filled)
            </figcaption>
            <svg viewBox="0 0 520 240" className="w-full" role="img" aria-label="Planned and burnt hours by day">
                {ticks([0, top], 4).map((t) => (
                    <g key={t}>
                        <line x1="50" x2="490" y1={y(t)} y2={y(t)} className="stroke-rule" />
                        <text x="42" y={y(t) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                            {t}
                        </text>
                    </g>
                ))}
                {days.map((d, i) => (
                    <g key={d.date}>
                        <title>{`${d.words}: ${one(d.spent)} h burnt, ${one(d.planned)} h planned`}</title>
                        <rect
                            x={54 + i * wide}
                            width={wide * 0.7}
                            y={y(d.spent)}
                            height={210 - y(d.spent)}
                            className="fill-spruce-wash"
                        />
                        <rect
                            x={54 + i * wide}
                            width={wide * 0.7}
                            y={y(d.planned)}
                            height={210 - y(d.planned)}
                            className="fill-none stroke-ink"
                            strokeWidth="2"
                        />
                    </g>
                ))}
                <DayLabels days={days} at={(i) => 54 + i * wide + wide * 0.35} y={232} said={(t) => t.slice(4, 10)} />
            </svg>
        </figure>
    );
}

const cell = 'pr-4 whitespace-nowrap';

function Days({ days }: { days: Schemas['ProgressDay'][] }) {
    return (
        <Section title="Day by day">
            <table className="w-full text-left">
                <thead>
                    <tr className="border-b border-rule text-soft">
                        {[
                            'Day',
                            'Cards closed',
                            'Planned',
                            'Burnt',
                            'Findings raised',
                            'Open',
                            'Leaves',
                            'Moved',
                            'Why',
                        ].map((h) => (
                            <th key={h} className="py-1 pr-4 font-normal">
                                {h}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {[...days].reverse().map((d) => (
                        <tr key={d.date} className="border-b border-rule/70">
                            <th scope="row" className="py-1.5 pr-4 font-semibold whitespace-nowrap">
                                {d.words}
                            </th>
                            <td className={cell}>{d.closed}</td>
                            <td className={cell}>{one(d.planned)} h</td>
                            <td className={cell}>{one(d.spent)} h</td>
                            <td className={cell}>{d.raised}</td>
                            <td className={cell}>{d.openFindings}</td>
                            <td className={cell}>{d.exit}</td>
                            <td className={cell}>{d.moved && <State state={d.state} word={d.moved} />}</td>
                            <td className="text-soft">{d.why}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </Section>
    );
}
