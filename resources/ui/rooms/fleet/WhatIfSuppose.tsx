import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useAircraft } from '../../api/hooks';
import { Button } from '../../parts/Button';
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
    const visit = aircraft.reach.visits[0];
    const { values: days, bind } = useFields({
        start: visit ? dayAt(aircraft.today, visit.from) : '',
        end: visit ? dayAt(aircraft.today, visit.to) : '',
    });
    const [base, setBase] = useState(bases.find((b) => b !== aircraft.base) ?? '');
    const line = 'mt-4 flex flex-wrap items-end gap-4';
    if (kind === 'visit') {
        return visit ? (
            <div className={line}>
                <p className="pb-3 font-semibold">{visit.title}</p>
                <Field label="First day" type="date" {...bind('start')} />
                <Field label="Last day" type="date" {...bind('end')} />
                <Button big onClick={() => onAdd({ kind, id: visit.id, mark: aircraft.mark, ...days })}>
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

const dayAt = (today: string, days: number): string =>
    new Date(Date.parse(`${today}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
