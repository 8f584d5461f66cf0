import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { type Counted, useReliability, useReliabilityRows } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { Glyph } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { deferralTabs } from './tabs';

const whats = (['reports', 'findings', 'deferrals', 'removals'] as const).map((w) => ({ value: w, name: w }));
const bys = (['system', 'type', 'tail', 'part'] as const).map((b) => ({ value: b, name: `by ${b}` }));
const spans = [30, 90, 365].map((d) => ({ value: d, name: `${d} days` }));

/**
 * How often things go wrong per 1,000 flight hours, with bounds, beside the year before; each figure leads to its rows.
 */
export function Reliability() {
    const [query, setQuery] = useState<Counted>({ what: 'reports', by: 'system', days: 90 });
    const [key, setKey] = useState<string | null>(null);
    const set = (part: Partial<typeof query>) => {
        setQuery({ ...query, ...part });
        setKey(null);
    };
    return (
        <Wait query={useReliability(query)}>
            {(room) => (
                <Page over={<Tabs label="Deferrals" tabs={deferralTabs} />} sentence={room.sentence}>
                    <div className="noprint flex flex-wrap items-center gap-4">
                        <Choice label="What" options={whats} value={query.what} onChange={(what) => set({ what })} />
                        <Choice label="By" options={bys} value={query.by} onChange={(by) => set({ by })} />
                        <Choice label="Span" options={spans} value={query.days} onChange={(days) => set({ days })} />
                        <a
                            className="underline underline-offset-4"
                            href={`/api/reliability.csv?what=${query.what}&by=${query.by}&days=${query.days}`}
                            download
                        >
                            CSV
                        </a>
                    </div>
                    <Section
                        title={`${query.what.charAt(0).toUpperCase()}${query.what.slice(1)} per 1,000 flight hours, by ${query.by}`}
                        aside={<span className="text-sm text-soft">{room.repeats}</span>}
                    >
                        <Rates rows={room.rows} chosen={key} onChoose={setKey} />
                        {key !== null && <Rows query={{ ...query, key }} />}
                    </Section>
                    <div className="grid grid-cols-1 gap-x-10 lg:grid-cols-2">
                        <Section title="What cost most hours to put right">
                            {room.costly.length === 0 && (
                                <p className="py-1 text-soft">No card that fixes a finding is closed.</p>
                            )}
                            <ul>
                                {room.costly.map((c) => (
                                    <li key={c.label} className="flex justify-between border-b border-rule/60 py-1.5">
                                        <span>{c.label}</span>
                                        <span>
                                            <b>{c.hours} h</b>, {c.findings} {c.findings === 1 ? 'finding' : 'findings'}
                                        </span>
                                    </li>
                                ))}
                            </ul>
                        </Section>
                        <Section title="Mean life beside the interval">
                            {room.lives.length === 0 && <p className="py-1 text-soft">No component came off yet.</p>}
                            <ul>
                                {room.lives.map((l) => (
                                    <li key={l.kind} className="border-b border-rule/60 py-1.5">
                                        <b>{l.kind}</b>: {l.hours} h, {l.days} days on, {l.removed} removed
                                        <span className="block text-sm text-soft">{l.interval}</span>
                                    </li>
                                ))}
                            </ul>
                        </Section>
                    </div>
                </Page>
            )}
        </Wait>
    );
}

/** A bar from the low to the high bound, with the rate on it and what was to be expected as a mark. */
function Rates({
    rows,
    chosen,
    onChoose,
}: {
    rows: Schemas['RateRow'][];
    chosen: string | null;
    onChoose: (key: string | null) => void;
}) {
    const most = Math.max(0.001, ...rows.map((r) => r.high ?? 0));
    const x = (v: number) => 4 + (Math.min(v, most) / most) * 392;
    return (
        <ul>
            {rows.length === 0 && <li className="py-2 text-soft">None in this time.</li>}
            {rows.map((r) => (
                <li
                    key={r.key}
                    className="grid grid-cols-[10rem_minmax(0,24rem)_minmax(0,1fr)] items-center gap-4 border-b border-rule/60 py-1.5"
                    data-rate={r.key}
                >
                    <button
                        type="button"
                        aria-expanded={chosen === r.key}
                        className="flex min-h-9 items-center gap-1.5 text-left font-semibold underline underline-offset-4"
                        onClick={() => onChoose(chosen === r.key ? null : r.key)}
                    >
                        <Glyph state={r.alert ? 'stop' : 'clear'} size={13} /> {r.label}
                    </button>
                    <svg viewBox="0 0 400 22" className="h-6 w-full" role="img" aria-label={`${r.label}: ${said(r)}`}>
                        <line x1="4" x2="396" y1="11" y2="11" className="stroke-rule" strokeWidth="1" />
                        {r.rate !== null && r.low !== null && r.high !== null && (
                            <g className={r.alert ? 'text-rust' : 'text-ink'}>
                                <line
                                    x1={x(r.low)}
                                    x2={x(r.high)}
                                    y1="11"
                                    y2="11"
                                    stroke="currentColor"
                                    strokeWidth="3"
                                />
                                <circle cx={x(r.rate)} cy="11" r="5" fill="currentColor" />
                            </g>
                        )}
                        {r.expected !== null && r.hours > 0 && (
                            <line
                                x1={x((r.expected / r.hours) * 1000)}
                                x2={x((r.expected / r.hours) * 1000)}
                                y1="3"
                                y2="19"
                                className="stroke-spruce"
                                strokeWidth="2"
                                strokeDasharray="3 2"
                            />
                        )}
                    </svg>
                    <span className="text-sm">{said(r)}</span>
                </li>
            ))}
        </ul>
    );
}

const said = (r: Schemas['RateRow']): string =>
    `${r.events} in ${Math.round(r.hours).toLocaleString('en')} h${
        r.rate === null ? '' : `, ${r.rate.toFixed(1)} (${(r.low ?? 0).toFixed(1)} to ${(r.high ?? 0).toFixed(1)})`
    }${r.expected === null ? '' : `; ${r.expected.toFixed(1)} expected`}`;

function Rows({ query }: { query: Counted & { key: string } }) {
    const rows = useReliabilityRows(query);
    return (
        <ul className="mt-2 rounded-lg bg-sheet p-3">
            {rows.data?.map((e) => (
                <li key={e.link + e.date} className="py-0.5">
                    <span className="text-soft">{e.date}</span> <b className="font-mono">{e.mark}</b>{' '}
                    <Link className="underline underline-offset-4" to={e.link}>
                        {e.said}
                    </Link>
                </li>
            ))}
            {rows.isPending && <li className="text-soft">Reading…</li>}
        </ul>
    );
}
