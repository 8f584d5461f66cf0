import { type FormEvent, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useBays, useMoment, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { plus, short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';

/** When and where; the server makes a card of each item. */
export function MakeVisit({
    aircraft,
    items,
    onClose,
}: {
    aircraft: Schemas['AircraftView'];
    items: string[];
    onClose: () => void;
}) {
    const navigate = useNavigate();
    const moment = useMoment().data;
    const bays = useBays().data;
    const today = moment ? new Date(moment.now).toLocaleDateString('sv-SE', { timeZone: moment.zone }) : '';
    const taken = aircraft.items.filter((i) => items.includes(i.key));
    const { values: at, bind } = useFields({
        title: taken.length === 1 ? (taken[0]?.title ?? '') : `${taken.length} items`,
        start: today,
        end: today === '' ? '' : plus(today, 2),
    });
    const [bay, setBay] = useState<string | null>(null);
    // A bay of the base that nobody stands in then; the server has the last word.
    const free = bays?.bays.find(
        (b) =>
            b.base === aircraft.base &&
            !b.blocks.some((k) => k.kind !== 'free' && k.start <= at.end && at.start <= k.end),
    );
    const where = bay ?? free?.name ?? 'line';
    const make = useSend(
        (body: { mark: string; title: string; bay: string; start: string; end: string; items: string[] }, headers) =>
            take(api.POST('/api/visits', { body, headers })),
        (visit) => void navigate(`/visits/${visit.id}`),
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        make.mutate({ mark: aircraft.mark, ...at, bay: where, items });
    };
    return (
        <Dialog open onClose={onClose} title={`A visit for ${aircraft.mark}`}>
            <form onSubmit={submit} className="grid grid-cols-2 gap-4">
                <Field label="What for" className="col-span-2" {...bind('title')} />
                <Pick label="Where" name="bay" className="col-span-2" value={where} onChange={setBay}>
                    {bays?.bays.map((b) => (
                        <option key={b.id} value={b.name}>
                            {b.name}
                        </option>
                    ))}
                    <option value="line">line: on the apron, in no bay</option>
                </Pick>
                <Field label="First day" type="date" {...bind('start')} />
                <Field label="Last day" type="date" {...bind('end')} />
                <ul className="col-span-2 max-h-40 overflow-auto text-sm">
                    {taken.map((i) => (
                        <li key={i.key} className="flex justify-between border-b border-rule/60 py-1">
                            <span>
                                <span className="font-mono text-soft">{i.code}</span> {i.title}
                            </span>
                            <span className="text-soft">
                                {i.date ? `due ${short(i.date, today)}` : 'due beyond 20 years'}
                            </span>
                        </li>
                    ))}
                </ul>
                <div className="col-span-2">
                    <Trouble error={make.error} />
                    <Button kind="main" big type="submit" className="mt-3" disabled={make.isPending}>
                        {make.isPending
                            ? 'Making cards…'
                            : `Make the visit and its ${items.length} ${items.length === 1 ? 'card' : 'cards'}`}
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
