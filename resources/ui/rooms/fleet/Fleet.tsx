import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { useFleet, useLine, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { plus, short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { reachTicks } from '../../parts/Reach';
import { Choice, Tabs } from '../../parts/Tabs';
import { Craft, columns, Legend } from './FleetRow';
import { type Grouping, groupings, type Line, linesOf } from './grouping';
import { fleetViews } from './views';

const horizons = [30, 90, 365].map((d) => ({ value: d, name: `${d} days` }));

/** The fleet, by who stops first. */
export function Fleet() {
    return <Wait query={useFleet()}>{(fleet) => <FleetOf fleet={fleet} />}</Wait>;
}

function FleetOf({ fleet }: { fleet: Schemas['FleetView'] }) {
    const navigate = useNavigate();
    const may = useMe().data?.may ?? [];
    const onLine = useLine().data;
    const lacks = useMemo(() => new Set(onLine?.rows.filter((r) => r.lacks).map((r) => r.mark)), [onLine]);
    const [horizon, setHorizon] = useState<number>(90);
    const [by, setBy] = useState<Grouping>('stop');
    const [at, setAt] = useState(0);
    const lines = useMemo(() => linesOf(fleet.rows, by), [fleet.rows, by]);
    const crafts = useMemo(() => lines.flatMap((l, i) => (l.row ? [i] : [])), [lines]);
    const list = useRef<HTMLDivElement>(null);
    const virtual = useWindowVirtualizer({
        count: lines.length,
        estimateSize: () => 38,
        overscan: 20,
        scrollMargin: list.current?.offsetTop ?? 0,
    });
    const here = lines[crafts[at] ?? -1]?.row ?? null;
    const plan = may.includes('plan');

    // When the list can be used, for those who measure it.
    useEffect(() => {
        performance.mark('fleet-ready');
    }, []);
    useEffect(() => {
        const move = (to: number) => {
            const next = Math.max(0, Math.min(crafts.length - 1, to));
            setAt(next);
            const line = crafts[next];
            if (line !== undefined) {
                virtual.scrollToIndex(line, { align: 'auto' });
            }
        };
        const onKey = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLInputElement || e.ctrlKey || e.metaKey || e.altKey) {
                return;
            }
            if (e.key === 'j' || e.key === 'ArrowDown') {
                e.preventDefault();
                move(at + 1);
            } else if (e.key === 'k' || e.key === 'ArrowUp') {
                e.preventDefault();
                move(at - 1);
            } else if (here && plan && e.key === 'v') {
                void navigate(visitFor(here));
            } else if (here && (e.key === 'p' || (e.key === 'Enter' && e.target === document.body))) {
                void navigate(`/fleet/${here.mark}`);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [at, crafts, here, navigate, plan, virtual]);

    return (
        <Page
            over={<Tabs label="Fleet" tabs={fleetViews} />}
            sentence={fleet.sentence}
            note={
                lacks.size === 0 ? (
                    fleet.note
                ) : (
                    <>
                        {fleet.note}{' '}
                        <Link className="underline underline-offset-4" to="/floor/line">
                            {onLine?.sentence}
                        </Link>
                    </>
                )
            }
            actions={
                fleet.first && plan ? (
                    <Button kind="main" hint="P" onClick={() => void navigate(`/fleet/${fleet.first}`)}>
                        Plan {fleet.first}
                    </Button>
                ) : undefined
            }
        >
            <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
                <Choice
                    label="Order"
                    options={groupings}
                    value={by}
                    onChange={(v) => {
                        setBy(v);
                        setAt(0);
                    }}
                />
                <Choice label="Horizon" options={horizons} value={horizon} onChange={setHorizon} />
            </div>
            <div className={`${columns} sticky top-0 z-10 mt-3 h-7 bg-paper text-sm text-soft`} aria-hidden="true">
                <span className="col-start-5 relative h-full">
                    <b className="absolute left-0 whitespace-nowrap text-ink">{short(fleet.today, fleet.today)}</b>
                    {reachTicks(horizon)
                        .filter((t) => t / horizon > 0.12)
                        .map((t) => (
                            <span
                                key={t}
                                className="absolute -translate-x-1/2 whitespace-nowrap font-mono text-xs max-[1100px]:even:hidden"
                                style={{ left: `${(t / horizon) * 100}%` }}
                            >
                                {short(plus(fleet.today, t), fleet.today)}
                            </span>
                        ))}
                </span>
                <Legend />
            </div>
            <div ref={list} data-testid="reach-list" className="relative" style={{ height: virtual.getTotalSize() }}>
                {virtual.getVirtualItems().map((v) => {
                    const line = lines[v.index] as Line;
                    return (
                        <div
                            key={line.key}
                            className="absolute inset-x-0"
                            style={{
                                height: v.size,
                                transform: `translateY(${v.start - virtual.options.scrollMargin}px)`,
                            }}
                        >
                            {line.row ? (
                                <Craft
                                    row={line.row}
                                    today={fleet.today}
                                    horizon={horizon}
                                    chosen={crafts[at] === v.index}
                                    lacks={lacks.has(line.row.mark)}
                                    onOpen={() => void navigate(`/fleet/${line.row?.mark}`)}
                                    onFocus={() => setAt(crafts.indexOf(v.index))}
                                />
                            ) : (
                                <h2 className="flex h-full items-end border-b border-rule pb-1 font-semibold">
                                    {line.title} <span className="ml-2 text-sm font-normal text-soft">{line.note}</span>
                                </h2>
                            )}
                        </div>
                    );
                })}
            </div>
            {fleet.rows.length === 0 && (
                <p className="text-soft">Aircraft appear here with how far each can go before something stops it.</p>
            )}
        </Page>
    );
}

/** Where a visit for what stops an aircraft is made. */
const visitFor = (row: Schemas['ReachRow']): string =>
    `/fleet/${row.mark}${row.stop?.item ? `?take=${encodeURIComponent(row.stop.item)}` : ''}`;
