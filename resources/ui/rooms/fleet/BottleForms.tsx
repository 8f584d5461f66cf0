import { type InputHTMLAttributes, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { typed, useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import type { Bottle } from './Bottles';

export function Read({ bottle, today, onClose }: { bottle: Bottle; today: string; onClose: () => void }) {
    const { values: at, bind } = useFields({ date: today, pressure: '', temp_c: '' });
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
        { affects: touches.gauges },
    );
    return (
        <FormDialog
            title={`${bottle.name}: a reading`}
            action="Save the reading"
            ready={at.pressure !== '' && at.temp_c !== ''}
            send={send}
            onSend={() => send.mutate({ date: at.date, ...gauge(at), replaced })}
            onClose={onClose}
        >
            <Gauge
                bottle={bottle}
                pressure={bind('pressure')}
                temp={bind('temp_c')}
                hint="of the bottle, not of the day"
            />
            <div className="grid grid-cols-2 gap-4">
                <Field label="Read on" type="date" {...bind('date')} />
                <label className="flex min-h-12 items-center gap-2 self-end">
                    <input
                        type="checkbox"
                        className="size-6 accent-spruce"
                        checked={replaced}
                        onChange={(e) => setReplaced(e.target.checked)}
                    />
                    changed or filled just before
                </label>
            </div>
        </FormDialog>
    );
}

type Bound = Pick<InputHTMLAttributes<HTMLInputElement>, 'name' | 'value' | 'onChange'>;
type GaugeProps = { bottle: Bottle; pressure: Bound; temp: Bound; hint?: string };

/** What the gauge shows, and how warm it is. */
function Gauge({ bottle, pressure, temp, hint }: GaugeProps) {
    return (
        <div className="grid grid-cols-2 gap-4">
            <Field label={`Gauge, ${bottle.unit}`} inputMode="decimal" {...pressure} />
            <Field label="Temperature, °C" inputMode="decimal" {...temp} hint={hint} />
        </div>
    );
}

type Reading = { pressure: string; temp_c: string };

const gauge = (at: Reading) => ({ pressure: typed(at.pressure), temp_c: typed(at.temp_c) });

export function Wrong({
    bottle,
    reading,
    onClose,
}: {
    bottle: Bottle;
    reading: Schemas['GaugeRow'];
    onClose: () => void;
}) {
    const { values: at, bind } = useFields({
        pressure: String(reading.pressure),
        temp_c: String(reading.tempC),
        reason: '',
    });
    const send = useSend(
        (body: { pressure: number | null; temp_c: number | null; reason: string }, headers) =>
            take(api.POST('/api/readings/{id}/correct', { params: { path: { id: reading.id } }, body, headers })),
        onClose,
        { affects: touches.gauges },
    );
    return (
        <Dialog open onClose={onClose} title={`The reading of ${short(reading.date)}`}>
            <p className="mb-3 text-soft">What was first entered stays to be seen; the trend is worked out anew.</p>
            <Gauge bottle={bottle} pressure={bind('pressure')} temp={bind('temp_c')} />
            <Field label="Why it was wrong" className="mt-4" {...bind('reason')} />
            <Trouble error={send.error} />
            <div className="mt-4 flex gap-3">
                <Button
                    kind="main"
                    big
                    disabled={send.isPending || at.reason === ''}
                    onClick={() => send.mutate({ ...gauge(at), reason: at.reason })}
                >
                    Correct it
                </Button>
                <Button
                    big
                    disabled={send.isPending || at.reason === ''}
                    onClick={() => send.mutate({ pressure: null, temp_c: null, reason: at.reason })}
                >
                    Take it back
                </Button>
            </div>
        </Dialog>
    );
}
