import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

type Person = Schemas['PersonView'];

/** Leave, another shift, or the usual week again. */
export function Days({ person, shifts, onClose }: { person: Person; shifts: string[]; onClose: () => void }) {
    const [from, setFrom] = useState('');
    const [until, setUntil] = useState('');
    const [what, setWhat] = useState<'away' | 'shift' | 'clear'>('away');
    const [shift, setShift] = useState(shifts.find((s) => s !== person.shift) ?? '');
    const [why, setWhy] = useState('leave');
    const send = useSend(
        (body: { from: string; until: string; do: 'away' | 'shift' | 'clear'; shift?: string; why?: string }, headers) =>
            take(api.POST('/api/crew/{id}/days', { params: { path: { id: person.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ from, until: until || from, do: what, ...(what === 'clear' ? {} : { why }), ...(what === 'shift' ? { shift } : {}) });
    };
    return (
        <Dialog open onClose={onClose} title={`Days of ${person.name}`}>
            <form onSubmit={submit} className="space-y-4">
                <Choice
                    label="What"
                    options={[
                        { value: 'away', name: 'away' },
                        { value: 'shift', name: 'another shift' },
                        { value: 'clear', name: 'the usual week again' },
                    ]}
                    value={what}
                    onChange={setWhat}
                />
                <div className="grid grid-cols-2 gap-3">
                    <Field label="From" name="from" type="date" value={from} onChange={(e) => setFrom(e.target.value)} />
                    <Field label="Until" name="until" type="date" value={until} onChange={(e) => setUntil(e.target.value)} />
                </div>
                {what === 'shift' && (
                    <Pick big label="Shift" name="shift" value={shift} onChange={setShift}>
                        {shifts.map((s) => (
                            <option key={s}>{s}</option>
                        ))}
                    </Pick>
                )}
                {what !== 'clear' && <Field label="Why" name="why" value={why} onChange={(e) => setWhy(e.target.value)} />}
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || from === '' || (what !== 'clear' && why === '')}>
                    Enter
                </Button>
            </form>
        </Dialog>
    );
}
