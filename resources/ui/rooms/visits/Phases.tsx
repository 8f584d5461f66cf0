import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { usePhases } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { Choice, Tabs } from '../../parts/Tabs';
import { visitsViews } from './views';

const hours = (v: number) => v.toLocaleString('en-GB', { maximumFractionDigits: 1 });

/** A block cut into equal phases, beside the block as it is. */
export function Phases() {
    const [search, setSearch] = useSearchParams();
    const query = {
        type: search.get('type') ?? undefined,
        months: Number(search.get('months') ?? 24),
        phases: Number(search.get('phases') ?? 4),
    };
    const set = (key: string, value: string | number) => {
        const next = new URLSearchParams(search);
        next.set(key, String(value));
        setSearch(next, { replace: true });
    };
    return (
        <Wait query={usePhases(query)}>
            {(cut) => (
                <Page
                    over={<Tabs label="Visits" tabs={visitsViews} />}
                    sentence={cut.sentence}
                    note={`${cut.type}: ${cut.title}. The block is everything on the aircraft itself with an interval of ${cut.months} months or more; its general part is shared out evenly.`}
                >
                    <div className="mb-4 flex flex-wrap gap-x-8 gap-y-2">
                        <Choice
                            label="Type"
                            value={cut.type}
                            onChange={(v) => set('type', v)}
                            options={cut.types.map((t) => ({ value: t, name: t }))}
                        />
                        <Choice
                            label="Interval"
                            value={cut.months}
                            onChange={(v) => set('months', v)}
                            options={[12, 24, 30, 48].map((m) => ({ value: m, name: `${m} months` }))}
                        />
                        <Choice
                            label="Phases"
                            value={cut.phases}
                            onChange={(v) => set('phases', v)}
                            options={[2, 3, 4, 5, 6].map((m) => ({ value: m, name: `${m} phases` }))}
                        />
                    </div>
                    {cut.blockTotal > 0 && <Compared cut={cut} />}
                </Page>
            )}
        </Wait>
    );
}

function Compared({ cut }: { cut: Schemas['PhasesView'] }) {
    const top = Math.max(cut.blockTotal, cut.longest);
    const wide = (v: number) => (v / top) * 620;
    const bars = [
        {
            name: 'Before: one block',
            hours: cut.blockTotal - cut.blockAccess,
            access: cut.blockAccess,
            days: cut.blockDays,
        },
        ...cut.cut.map((p) => ({ name: `Phase ${p.no}`, hours: p.hours, access: p.accessHours, days: p.days })),
    ];
    return (
        <>
            <svg viewBox={`0 0 960 ${bars.length * 40 + 6}`} className="w-full max-w-5xl">
                <title>Hours of the block and of each phase</title>
                {bars.map((b, i) => (
                    <g key={b.name} transform={`translate(0 ${i * 40 + (i > 0 ? 6 : 0)})`}>
                        <text x="0" y="22" className="fill-ink text-[15px] font-semibold">
                            {b.name}
                        </text>
                        <rect
                            x="150"
                            y="6"
                            width={wide(b.hours)}
                            height="24"
                            className="fill-spruce-wash stroke-spruce"
                        />
                        <rect x={150 + wide(b.hours)} y="6" width={wide(b.access)} height="24" className="fill-slate" />
                        <text x={158 + wide(b.hours + b.access)} y="23" className="fill-ink text-[14px]">
                            {hours(b.hours + b.access)} h, stands {hours(b.days)} days
                        </text>
                    </g>
                ))}
            </svg>
            <p className="mt-2 text-sm text-soft">
                Dark is opening and closing panels. Days stood at 48 h of work a day.{' '}
                {cut.proven
                    ? 'No cut is better.'
                    : `The best found in the time; no cut has a longest phase below ${hours(cut.lowerBound)} h.`}
            </p>
            <Section title="What is in each phase">
                <div className="grid grid-cols-1 gap-6 md:grid-cols-2 xl:grid-cols-3">
                    {cut.cut.map((p) => (
                        <div key={p.no}>
                            <h3 className="font-semibold">
                                Phase {p.no}, {hours(p.total)} h
                            </h3>
                            <ul className="mt-1 text-[0.95rem]">
                                {p.items.map((i) => (
                                    <li key={i}>{i}</li>
                                ))}
                            </ul>
                        </div>
                    ))}
                </div>
            </Section>
        </>
    );
}
