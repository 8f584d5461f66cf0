import { useState } from 'react';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Choice } from '../../parts/Tabs';

/** It goes away for calibration, or out of use for good. */
export function Move({ code, to, onClose }: { code: string; to: 'away' | 'gone'; onClose: () => void }) {
    const { values: v, bind } = useFields({ why: '' });
    const send = useSend(
        (body: { do: 'away' | 'gone'; why: string }, headers) =>
            take(api.POST('/api/tools/{code}/state', { params: { path: { code } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={to === 'away' ? `${code} goes for calibration` : `${code} goes out of use`}
            action={to === 'away' ? 'Send it' : 'Take it out of use'}
            ready={v.why !== ''}
            send={send}
            onSend={() => send.mutate({ do: to, ...v })}
            onClose={onClose}
        >
            <p className="text-soft">
                {to === 'away'
                    ? 'Nobody takes a reading with it until a good check is entered.'
                    : 'It leaves every list; what was read with it stands. If it was found out of tolerance, enter that check first.'}
            </p>
            <Field label={to === 'away' ? 'To where' : 'Why'} {...bind('why')} />
        </FormDialog>
    );
}

export function Check({ code, onClose }: { code: string; onClose: () => void }) {
    const [good, setGood] = useState<'yes' | 'no'>('yes');
    const { values: v, bind } = useFields({ date: '', note: '', due: '' });
    const send = useSend(
        (body: { date: string; good: boolean; note: string; cal_due?: string }, headers) =>
            take(api.POST('/api/tools/{code}/checks', { params: { path: { code } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={`A check of ${code}`}
            action={good === 'yes' ? 'Enter the check' : 'Recall the tool'}
            ready={v.date !== '' && v.note !== '' && (good === 'no' || v.due !== '')}
            send={send}
            onSend={() =>
                send.mutate({
                    date: v.date,
                    note: v.note,
                    good: good === 'yes',
                    ...(good === 'yes' ? { cal_due: v.due } : {}),
                })
            }
            onClose={onClose}
        >
            <Choice
                label="Result"
                options={[
                    { value: 'yes', name: 'good' },
                    { value: 'no', name: 'out of tolerance: recall it' },
                ]}
                value={good}
                onChange={setGood}
            />
            <div className="grid grid-cols-2 gap-3">
                <Field label="Checked on" type="date" {...bind('date')} />
                {good === 'yes' && <Field label="Stands until" type="date" {...bind('due')} />}
            </div>
            <Field label="What was found" {...bind('note')} />
        </FormDialog>
    );
}
