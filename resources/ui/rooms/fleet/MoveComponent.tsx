import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useFleet, useSend, useStored } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';
import { isSigned, type Signed, StampAndPin, unsigned } from '../../parts/StampAndPin';
import type { Fitted } from './Components';

const useMove = (id: number, done: () => void) =>
    useSend(
        (body: { mark: string | null; position: string; reason: string } & Signed, headers) =>
            take(api.POST('/api/components/{id}/move', { params: { path: { id } }, body, headers })),
        done,
    );

export function Move({ component, onClose }: { component: Fitted; onClose: () => void }) {
    const marks = useFleet().data?.rows.map((r) => r.mark) ?? [];
    const [mark, setMark] = useState('');
    const [position, setPosition] = useState('');
    const [reason, setReason] = useState('');
    const [signed, setSigned] = useState(unsigned);
    const move = useMove(component.id, onClose);
    const submit = (e: FormEvent) => {
        e.preventDefault();
        move.mutate({ mark: mark === '' ? null : mark, position, reason, ...signed });
    };
    return (
        <Dialog open onClose={onClose} title={`Move ${component.title} ${component.serial}`}>
            <form onSubmit={submit} className="grid gap-4">
                <p className="text-soft">
                    Its counters, and everything done to it, go with it: {component.counters || 'calendar only'}.
                </p>
                <label className="font-semibold">
                    Where to
                    <select
                        name="mark"
                        className="mt-1 block h-12 w-full rounded-lg border-2 border-soft bg-sheet px-2"
                        value={mark}
                        onChange={(e) => {
                            setMark(e.target.value);
                            setPosition(e.target.value === '' ? '' : component.position);
                        }}
                    >
                        <option value="">into the store</option>
                        {marks.sort().map((m) => (
                            <option key={m}>{m}</option>
                        ))}
                    </select>
                </label>
                <Field
                    label={mark === '' ? 'Shelf' : 'Position'}
                    name="position"
                    value={position}
                    onChange={(e) => setPosition(e.target.value)}
                />
                <Field label="Why" name="reason" value={reason} onChange={(e) => setReason(e.target.value)} />
                <StampAndPin signed={signed} onSigned={setSigned} />
                <Trouble error={move.error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    disabled={move.isPending || position === '' || reason === '' || !isSigned(signed)}
                >
                    {mark === '' ? 'Take it off' : `Move it to ${mark}`}
                </Button>
            </form>
        </Dialog>
    );
}

export function Fit({ aircraft, onClose }: { aircraft: Schemas['AircraftView']; onClose: () => void }) {
    const stored = useStored().data ?? [];
    const [id, setId] = useState(0);
    const [position, setPosition] = useState('');
    const [reason, setReason] = useState('');
    const [signed, setSigned] = useState(unsigned);
    const move = useMove(id, onClose);
    return (
        <Dialog open onClose={onClose} title={`Fit a component to ${aircraft.mark}`}>
            <div className="grid gap-4">
                <label className="font-semibold">
                    From the store
                    <select
                        name="component"
                        className="mt-1 block h-12 w-full rounded-lg border-2 border-soft bg-sheet px-2"
                        value={id}
                        onChange={(e) => setId(Number(e.target.value))}
                    >
                        <option value={0}>choose one</option>
                        {stored.map((c) => (
                            <option key={c.id} value={c.id}>
                                {c.title} {c.serial}, {c.counters || 'calendar only'}, {c.place}
                            </option>
                        ))}
                    </select>
                </label>
                <Field
                    label="Position"
                    name="position"
                    value={position}
                    onChange={(e) => setPosition(e.target.value)}
                    hint="for example engine 2"
                />
                <Field label="Why" name="reason" value={reason} onChange={(e) => setReason(e.target.value)} />
                <StampAndPin signed={signed} onSigned={setSigned} />
                <Trouble error={move.error} />
                <Button
                    kind="main"
                    big
                    disabled={move.isPending || id === 0 || position === '' || reason === '' || !isSigned(signed)}
                    onClick={() => move.mutate({ mark: aircraft.mark, position, reason, ...signed })}
                >
                    Fit it
                </Button>
            </div>
        </Dialog>
    );
}
