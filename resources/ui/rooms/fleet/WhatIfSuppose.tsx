import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useAircraft } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { plus, short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { useFields } from '../../parts/fields';
import { Wait } from '../../parts/Page';
import type { Change, Kind } from './WhatIf';
import { Use } from './WhatIfUse';

export function Suppose({
    mark,
    kind,
    bases,
    onAdd,
}: {
    mark: string;
    kind: Kind;
    bases: string[];
    onAdd: (c: Change) => void;
}) {
    return (
        <Wait query={useAircraft(mark)}>
            {(a) => <SupposeOf aircraft={a} kind={kind} bases={bases} onAdd={onAdd} />}
        </Wait>
    );
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
    const [base, setBase] = useState(bases.find((b) => b !== aircraft.base) ?? '');
    const line = 'mt-4 flex flex-wrap items-end gap-4';
    if (kind === 'visit') {
        return <Slip aircraft={aircraft} onAdd={onAdd} />;
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

/** One of its visits on other days; what has begun begins when it did, and wants a reason. */
function Slip({ aircraft, onAdd }: { aircraft: Schemas['AircraftView']; onAdd: (c: Change) => void }) {
    const visits = aircraft.reach.visits;
    const [id, setId] = useState(visits[0]?.id ?? 0);
    const visit = visits.find((v) => v.id === id);
    if (!visit) {
        return <p className="mt-4 text-soft">{aircraft.mark} has no visit planned.</p>;
    }
    return (
        <div className="mt-4 flex flex-wrap items-end gap-4">
            {visits.length === 1 ? (
                <p className="pb-3 font-semibold">{visit.title}</p>
            ) : (
                <label className="font-semibold">
                    <span className="mb-1 block">Visit</span>
                    <select
                        name="visit"
                        className="h-12 max-w-80 rounded-lg border-2 border-soft bg-paper px-2 font-normal"
                        value={id}
                        onChange={(e) => setId(Number(e.target.value))}
                    >
                        {visits.map((v) => (
                            <option key={v.id} value={v.id}>
                                {v.title}, from {short(plus(aircraft.today, v.from))}
                            </option>
                        ))}
                    </select>
                </label>
            )}
            <SlipDays key={id} aircraft={aircraft} visit={visit} onAdd={onAdd} />
        </div>
    );
}

function SlipDays({
    aircraft,
    visit,
    onAdd,
}: {
    aircraft: Schemas['AircraftView'];
    visit: Schemas['Bracket'];
    onAdd: (c: Change) => void;
}) {
    const { values: days, bind } = useFields({
        start: plus(aircraft.today, visit.from),
        end: plus(aircraft.today, visit.to),
        reason: '',
    });
    return (
        <>
            {visit.begun ? (
                <p className="pb-3">began on {short(days.start)}</p>
            ) : (
                <Field label="First day" type="date" {...bind('start')} />
            )}
            <Field label="Last day" type="date" {...bind('end')} />
            {visit.begun && <Field className="w-72" label="Why it is changed" {...bind('reason')} />}
            <Button
                big
                onClick={() =>
                    onAdd({
                        kind: 'visit',
                        id: visit.id,
                        mark: aircraft.mark,
                        start: days.start,
                        end: days.end,
                        reason: visit.begun ? days.reason : null,
                    })
                }
            >
                Try it
            </Button>
        </>
    );
}
