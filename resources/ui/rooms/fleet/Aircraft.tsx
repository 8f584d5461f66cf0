import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAircraft, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { Reach } from '../../parts/Reach';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { Components } from './Components';
import { Flying } from './Flying';
import { Items } from './Items';
import { MakeVisit } from './MakeVisit';

type View = 'items' | 'components' | 'flying';

/** One aircraft: how far it goes, its counters, every item with what drives it, what is fitted, what it flew. */
export function Aircraft() {
    return <Wait query={useAircraft(useParams().mark ?? '')}>{(a) => <AircraftOf key={a.mark} aircraft={a} />}</Wait>;
}

function AircraftOf({ aircraft }: { aircraft: Schemas['AircraftView'] }) {
    const [params, setParams] = useSearchParams();
    const taken = params.get('take');
    const may = useMe().data?.may ?? [];
    const [chosen, setChosen] = useState<string[]>(
        taken !== null && aircraft.items.some((i) => i.key === taken) ? [taken] : [],
    );
    const [making, setMaking] = useState(chosen.length > 0);
    const plan = may.includes('plan');
    const view = (params.get('view') ?? 'items') as View;
    const toggle = (key: string) => setChosen((c) => (c.includes(key) ? c.filter((x) => x !== key) : [...c, key]));
    const hours = aircraft.items.filter((i) => chosen.includes(i.key)).reduce((sum, i) => sum + i.hours, 0);
    useEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            if (e.key === 'v' && plan && chosen.length > 0 && e.target === document.body && !e.ctrlKey && !e.metaKey) {
                setMaking(true);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [plan, chosen]);
    return (
        <Page
            over={
                <>
                    <Link to="/fleet" className="noprint underline underline-offset-4">
                        Fleet
                    </Link>{' '}
                    · <b className="font-mono text-ink">{aircraft.mark}</b> · {aircraft.typeName} · {aircraft.fleet},{' '}
                    {aircraft.base} · {aircraft.arrangement}
                    {aircraft.conditions.length > 0 && <> · harsh use: {aircraft.conditions.join(', ')}</>}
                </>
            }
            sentence={aircraft.sentence}
            note={
                aircraft.safing > 0
                    ? `${aircraft.safing} safing ${aircraft.safing === 1 ? 'device is' : 'devices are'} fitted now.`
                    : undefined
            }
            actions={
                plan ? (
                    <Button kind="main" hint="V" disabled={chosen.length === 0} onClick={() => setMaking(true)}>
                        {chosen.length === 0
                            ? 'Make a visit: choose items'
                            : `Make a visit of ${chosen.length}, ${hours} h`}
                    </Button>
                ) : undefined
            }
        >
            <div className="flex items-center gap-4">
                <State state={aircraft.state} />
                <div className="flex-1">
                    <Reach row={aircraft.reach} horizon={90} />
                </div>
                <span className="text-sm text-soft">90 days</span>
            </div>
            <div className="mt-4 flex flex-wrap items-start gap-x-10 gap-y-2">
                {aircraft.counters.map((c) => (
                    <div key={c.name}>
                        <div className="text-sm text-soft">{c.title}</div>
                        <div className="font-mono text-[1.3rem]" data-counter={c.name}>
                            {c.value.toLocaleString('en-GB')}
                        </div>
                        <div className="text-sm text-soft">
                            {c.rate} a day planned{c.flown !== null && `, ${c.flown} flown`}
                        </div>
                    </div>
                ))}
                <div>
                    <div className="text-sm text-soft">Counted to the end of</div>
                    <div className="text-[1.3rem]">{short(aircraft.countersAsOf, aircraft.today)}</div>
                    {may.includes('edit') && (
                        <Link
                            className="text-sm underline underline-offset-4"
                            to={`/fleet/what-if?mark=${aircraft.mark}`}
                        >
                            what if?
                        </Link>
                    )}{' '}
                    <Link className="text-sm underline underline-offset-4" to={`/floor/damage/${aircraft.mark}`}>
                        damage map
                    </Link>
                </div>
                <div className="noprint ml-auto self-end">
                    <Choice
                        label="View"
                        options={[
                            { value: 'items', name: `Items ${aircraft.items.length}` },
                            { value: 'components', name: `Components ${aircraft.components.length}` },
                            { value: 'flying', name: 'Flying and history' },
                        ]}
                        value={view}
                        onChange={(v) => setParams(v === 'items' ? {} : { view: v }, { replace: true })}
                    />
                </div>
            </div>
            {view === 'items' && <Items aircraft={aircraft} plan={plan} chosen={chosen} onToggle={toggle} />}
            {view === 'components' && <Components aircraft={aircraft} may={may.includes('edit')} />}
            {view === 'flying' && <Flying aircraft={aircraft} may={may.includes('edit')} />}
            {making && (
                <MakeVisit
                    aircraft={aircraft}
                    items={chosen}
                    onClose={() => {
                        setMaking(false);
                        setParams({}, { replace: true });
                    }}
                />
            )}
        </Page>
    );
}
