import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';
import type { Bottle } from './Bottles';

export function Read({ bottle, today, onClose }: { bottle: Bottle; today: string; onClose: () => void }) {
    const [date, setDate] = useState(today);
    const [pressure, setPressure] = useState('');
    const [temp, setTemp] = useState('');
    const [replaced, setReplaced] = useState(false);
    const send = useSend(
        (body: { date: string; pressure: number; temp_c: number; replaced: boolean }, headers) =>
            take(
                api.POST('/api/components/{id}/readings', {
                    params: { path: { id: bottle.component } },
                    body,
                    headers,
                }),
            ),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ date, pressure: typed(pressure), temp_c: typed(temp), replaced });
    };
    return (
        <Dialog open onClose={onClose} title={`${bottle.name}: a reading`}>
            <form onSubmit={submit} className="grid grid-cols-2 gap-4">
                <Field
                    label={`Gauge, ${bottle.unit}`}
                    name="pressure"
                    autoFocus
                    inputMode="decimal"
                    value={pressure}
                    onChange={(e) => setPressure(e.target.value)}
                />
                <Field
                    label="Temperature, °C"
                    name="temp_c"
                    inputMode="decimal"
                    value={temp}
                    onChange={(e) => setTemp(e.target.value)}
                    hint="of the bottle, not of the day"
                />
                <Field label="Read on" name="date" type="date" value={date} onChange={(e) => setDate(e.target.value)} />
                <label className="flex min-h-12 items-center gap-2 self-end">
                    <input
                        type="checkbox"
                        className="size-6 accent-spruce"
                        checked={replaced}
                        onChange={(e) => setReplaced(e.target.checked)}
                    />
                    changed or filled just before
                </label>
                <div className="col-span-2">
                    <Trouble error={send.error} />
                    <Button kind="main" big type="submit" disabled={send.isPending || pressure === '' || temp === ''}>
                        Save the reading
                    </Button>
                </div>
            </form>
        </Dialog>
    );
}

export function Wrong({
    bottle,
    reading,
    onClose,
}: {
    bottle: Bottle;
    reading: Schemas['GaugeRow'];
    onClose: () => void;
}) {
    const [pressure, setPressure] = useState(String(reading.pressure));
    const [temp, setTemp] = useState(String(reading.tempC));
    const [reason, setReason] = useState('');
    const send = useSend(
        (body: { pressure: number | null; temp_c: number | null; reason: string }, headers) =>
            take(api.POST('/api/readings/{id}/correct', { params: { path: { id: reading.id } }, body, headers })),
        onClose,
    );
    return (
        <Dialog open onClose={onClose} title={`The reading of ${short(reading.date)}`}>
            <p className="mb-3 text-soft">What was first entered stays to be seen; the trend is worked out anew.</p>
            <div className="grid grid-cols-2 gap-4">
                <Field
                    label={`Gauge, ${bottle.unit}`}
                    name="pressure"
                    inputMode="decimal"
                    value={pressure}
                    onChange={(e) => setPressure(e.target.value)}
                />
                <Field
                    label="Temperature, °C"
                    name="temp_c"
                    inputMode="decimal"
                    value={temp}
                    onChange={(e) => setTemp(e.target.value)}
                />
                <Field
                    label="Why it was wrong"
                    name="reason"
                    className="col-span-2"
                    value={reason}
                    onChange={(e) => setReason(e.target.value)}
                />
            </div>
            <Trouble error={send.error} />
            <div className="mt-4 flex gap-3">
                <Button
                    kind="main"
                    big
                    disabled={send.isPending || reason === ''}
                    onClick={() => send.mutate({ pressure: typed(pressure), temp_c: typed(temp), reason })}
                >
                    Correct it
                </Button>
                <Button
                    big
                    disabled={send.isPending || reason === ''}
                    onClick={() => send.mutate({ pressure: null, temp_c: null, reason })}
                >
                    Take it back
                </Button>
            </div>
        </Dialog>
    );
}

/** A number as typed, with a comma or a point; the server judges it. */
const typed = (text: string): number => Number(text.replace(',', '.'));
