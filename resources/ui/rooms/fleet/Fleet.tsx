import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../../api/client';
import { useFleet, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { plus, short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { Reach, reachTicks } from '../../parts/Reach';
import { Glyph, stateColour } from '../../parts/State';

const horizons = [30, 90, 365] as const;
const columns =
    'grid grid-cols-[1.5rem_5.6rem_3rem_4.6rem_minmax(0,1fr)_minmax(0,24rem)] max-[1100px]:grid-cols-[1.5rem_5.6rem_0_4.2rem_minmax(0,1fr)_minmax(0,18rem)] items-center gap-x-2';

/** The fleet, by who stops first. */
export function Fleet() {
    return <Wait query={useFleet()}>{(fleet) => <FleetOf fleet={fleet} />}</Wait>;
}

function FleetOf({ fleet }: { fleet: Schemas['FleetView'] }) {
    const navigate = useNavigate();
    const may = useMe().data?.may ?? [];
    const [horizon, setHorizon] = useState<number>(90);
    const [only, setOnly] = useState<string | null>(null);
    const [at, setAt] = useState(0);
    const fleets = useMemo(() => [...new Set(fleet.rows.map((r) => r.fleet))], [fleet.rows]);
    const rows = fleet.rows.filter((r) => only === null || r.fleet === only);

    useEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            if (e.target instanceof HTMLInputElement || e.ctrlKey || e.metaKey) {
                return;
            }
            const row = rows[at];
            if (e.key === 'j' || e.key === 'ArrowDown') {
                setAt((i) => Math.min(rows.length - 1, i + 1));
            } else if (e.key === 'k' || e.key === 'ArrowUp') {
                setAt((i) => Math.max(0, i - 1));
            } else if (row && (e.key === 'p' || (e.key === 'Enter' && e.target === document.body))) {
                void navigate(`/fleet/${row.mark}`);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [rows, at, navigate]);

    const pill = (on: boolean) => `min-h-8 rounded-lg px-3 ${on ? 'bg-ink text-paper font-semibold' : 'text-ink hover:bg-shade'}`;
    return (
        <Page
            sentence={fleet.sentence}
            note={fleet.note}
            actions={
                fleet.first && may.includes('plan') ? (
                    <Button kind="main" hint="P" onClick={() => void navigate(`/fleet/${fleet.first}`)}>
                        Plan {fleet.first}
                    </Button>
                ) : undefined
            }
        >
            <div className="flex flex-wrap items-center gap-x-1 gap-y-2">
                <button type="button" className={pill(only === null)} onClick={() => setOnly(null)}>
                    All {fleet.rows.length}
                </button>
                {fleets.map((f) => (
                    <button key={f} type="button" className={pill(only === f)} onClick={() => setOnly(f)}>
                        {f} {fleet.rows.filter((r) => r.fleet === f).length}
                    </button>
                ))}
                <div className="ml-auto flex items-center">
                    {horizons.map((h) => (
                        <button
                            key={h}
                            type="button"
                            aria-pressed={horizon === h}
                            className={pill(horizon === h)}
                            onClick={() => setHorizon(h)}
                        >
                            {h} days
                        </button>
                    ))}
                </div>
            </div>
            <div className="mt-3" data-testid="reach-list">
                <div className={`${columns} h-6 text-sm text-soft`} aria-hidden="true">
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
                {rows.map((r, i) => (
                    <button
                        key={r.mark}
                        type="button"
                        data-mark={r.mark}
                        onClick={() => void navigate(`/fleet/${r.mark}`)}
                        onFocus={() => setAt(i)}
                        className={`${columns} w-full rounded-md border px-0 text-left ${i === at ? 'border-rule bg-sheet' : 'border-transparent hover:bg-sheet'}`}
                    >
                        <span className="pl-1">
                            <Glyph state={r.state} />
                        </span>
                        <b className="font-mono">{r.mark}</b>
                        <span className="overflow-hidden font-mono text-sm text-soft">{r.type}</span>
                        <b className={`text-sm ${stateColour(r.state)}`}>{r.state}</b>
                        <Reach row={r} horizon={horizon} />
                        <span className="truncate pl-3" title={r.stop ? `${r.stop.title}, ${r.stop.detail}` : undefined}>
                            {r.stop ? (
                                <>
                                    {r.stop.title} <span className="text-sm text-soft">{r.stop.detail}</span>
                                </>
                            ) : (
                                <span className="text-soft">nothing within twenty years</span>
                            )}
                        </span>
                    </button>
                ))}
            </div>
            {fleet.rows.length === 0 && (
                <p className="text-soft">Aircraft appear here with how far each can go before something stops it.</p>
            )}
        </Page>
    );
}

function Legend() {
    const item = 'flex items-center gap-1 text-xs text-soft';
    return (
        <div className="flex items-center justify-end gap-x-2.5 max-[1100px]:gap-x-1.5">
            <span className={item}>
                <span className="h-2 w-6 bg-[repeating-linear-gradient(120deg,var(--spruce)_0_3px,var(--spruce-wash)_3px_7px)]" /> use
            </span>
            <span className={item}>
                <span className="h-2 w-6 bg-spruce" /> calendar
            </span>
            <span className={item}>
                <span className="h-1.5 w-6 bg-[repeating-linear-gradient(90deg,var(--spruce)_0_4px,transparent_4px_7px)]" /> deferral
            </span>
            <span className={item}>
                <span className="h-4 w-5 border-x-2 border-slate bg-shade" /> visit
            </span>
            <span className={item}>
                <span className="w-5 border-t-2 border-dotted border-rust" />
                <span className="-ml-1 size-2 rounded-full border-2 border-rust" /> fuse
            </span>
        </div>
    );
}
