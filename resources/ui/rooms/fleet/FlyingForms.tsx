import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { plus, short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';

export function Enter({ aircraft, onClose }: { aircraft: Schemas['AircraftView']; onClose: () => void }) {
    const [date, setDate] = useState(plus(aircraft.countersAsOf, 1));
    const [total, setTotal] = useState(false);
    const [cells, setCells] = useState<Record<string, string>>({});
    const send = useSend(
        (body: { date: string; flown: Record<string, string>; sure: boolean }, headers) =>
            take(api.POST('/api/fleet/{mark}/flying', { params: { path: { mark: aircraft.mark } }, body, headers })),
        onClose,
    );
    const asked = send.error?.asked ?? [];
    const [sure, setSure] = useState(false);
    // What was said yes to is said of just these numbers.
    const typed = () => {
        setSure(false);
        send.reset();
    };
    const submit = (e: FormEvent) => {
        e.preventDefault();
        const named = Object.fromEntries(
            aircraft.counters.map((c) => [total ? `${c.name}_total` : c.name, cells[c.name] ?? '']),
        );
        send.mutate({ date, flown: named, sure: asked.length > 0 && sure });
    };
    return (
        <Dialog open onClose={onClose} title={`${aircraft.mark}: a day's flying`}>
            <form onSubmit={submit} className="grid grid-cols-2 gap-4">
                <Field
                    label="Day"
                    name="date"
                    type="date"
                    value={date}
                    onChange={(e) => {
                        setDate(e.target.value);
                        typed();
                    }}
                />
                <label className="flex min-h-12 items-center gap-2 self-end">
                    <input
                        type="checkbox"
                        className="size-6 accent-spruce"
                        checked={total}
                        onChange={(e) => {
                            setTotal(e.target.checked);
                            typed();
                        }}
                    />
                    as the counters read after it
                </label>
                {aircraft.counters.map((c, i) => (
                    <Field
                        key={c.name}
                        label={total ? `${c.title}, reading` : c.title}
                        name={c.name}
                        autoFocus={i === 0}
                        inputMode="decimal"
                        autoComplete="off"
                        hint={total ? `stood at ${c.value}` : `${c.rate} planned`}
                        value={cells[c.name] ?? ''}
                        onChange={(e) => {
                            setCells({ ...cells, [c.name]: e.target.value });
                            typed();
                        }}
                    />
                ))}
                <div className="col-span-2">
                    {asked.length > 0 ? (
                        <Asked points={asked} sure={sure} onSure={setSure} />
                    ) : (
                        <Trouble error={send.error} />
                    )}
                    <Button
                        kind="main"
                        big
                        type="submit"
                        className="mt-2"
                        disabled={send.isPending || (asked.length > 0 && !sure)}
                    >
                        {send.isPending ? 'Counting…' : 'Enter it'}
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}

export function Correct({
    aircraft,
    entry,
    onClose,
}: {
    aircraft: Schemas['AircraftView'];
    entry: Schemas['FlyingView'];
    onClose: () => void;
}) {
    const [cells, setCells] = useState<Record<string, string>>(
        Object.fromEntries(aircraft.counters.map((c) => [c.name, String(entry.amounts[c.name] ?? 0)])),
    );
    const [reason, setReason] = useState('');
    const send = useSend(
        (body: { flown: Record<string, string>; reason: string }, headers) =>
            take(api.POST('/api/flying/{id}/correct', { params: { path: { id: entry.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ flown: cells, reason });
    };
    return (
        <Dialog open onClose={onClose} title={`${aircraft.mark} on ${short(entry.date, aircraft.today)}`}>
            <form onSubmit={submit} className="grid grid-cols-2 gap-4">
                <p className="col-span-2 text-soft">
                    What was entered stays to be seen. Everything counted since moves by the difference: counters,
                    components, when items were done, where deferrals started.
                </p>
                {aircraft.counters.map((c) => (
                    <Field
                        key={c.name}
                        label={c.title}
                        name={c.name}
                        inputMode="decimal"
                        value={cells[c.name] ?? ''}
                        onChange={(e) => setCells({ ...cells, [c.name]: e.target.value })}
                    />
                ))}
                <Field
                    label="Why it was wrong"
                    name="reason"
                    className="col-span-2"
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                />
                <div className="col-span-2">
                    <Trouble error={send.error} />
                    <Button kind="main" big type="submit" disabled={send.isPending || reason === ''}>
                        Correct it
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}
