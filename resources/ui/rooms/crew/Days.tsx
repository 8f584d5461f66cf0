import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Pick } from '../../parts/Pick';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';

type Person = Schemas['PersonView'];

/** Leave, another shift, or the usual week again. */
export function Days({ person, shifts, onClose }: { person: Person; shifts: string[]; onClose: () => void }) {
    const { values: v, bind } = useFields({ from: '', until: '', why: 'leave' });
    const [hits, setHits] = useState<string[] | null>(null);
    const [what, setWhat] = useState<'away' | 'shift' | 'clear'>('away');
    const [shift, setShift] = useState(shifts.find((s) => s !== person.shift) ?? '');
    const send = useSend(
        (
            body: { from: string; until: string; do: 'away' | 'shift' | 'clear'; shift?: string; why?: string },
            headers,
        ) => take(api.POST('/api/crew/{id}/days', { params: { path: { id: person.id } }, body, headers })),
        (room) => (room.hits.length > 0 ? setHits(room.hits) : onClose()),
        { affects: touches.people },
    );
    if (hits !== null) {
        return (
            <FormDialog
                title={`Days of ${person.name}`}
                action="Close"
                ready
                send={send}
                onSend={onClose}
                onClose={onClose}
            >
                <p>
                    <State state="stop" word="Saved" />. {person.name} is still on{' '}
                    {hits.length === 1 ? 'this card' : 'these cards'}, and not there for{' '}
                    {hits.length === 1 ? 'it' : 'them'}. Assign somebody else:
                </p>
                <ul className="list-disc pl-5" data-testid="hits">
                    {hits.map((h) => (
                        <li key={h}>{h}</li>
                    ))}
                </ul>
            </FormDialog>
        );
    }
    return (
        <FormDialog
            title={`Days of ${person.name}`}
            action="Enter"
            ready={v.from !== '' && (what === 'clear' || v.why !== '')}
            send={send}
            onSend={() =>
                send.mutate({
                    from: v.from,
                    until: v.until || v.from,
                    do: what,
                    ...(what === 'clear' ? {} : { why: v.why }),
                    ...(what === 'shift' ? { shift } : {}),
                })
            }
            onClose={onClose}
        >
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
                <Field label="From" type="date" {...bind('from')} />
                <Field label="Until" type="date" {...bind('until')} />
            </div>
            {what === 'shift' && (
                <Pick big label="Shift" name="shift" value={shift} onChange={setShift}>
                    {shifts.map((s) => (
                        <option key={s}>{s}</option>
                    ))}
                </Pick>
            )}
            {what !== 'clear' && <Field label="Why" {...bind('why')} />}
        </FormDialog>
    );
}
