import { type FormEvent, useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useFleet, useSend, useStored } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { Section, Trouble } from '../../parts/Page';

type Fitted = Schemas['ComponentView'];

/** What is fitted to an aircraft, with the life it has of its own. */
export function Components({ aircraft, may }: { aircraft: Schemas['AircraftView']; may: boolean }) {
    const [off, setOff] = useState<Fitted | null>(null);
    const [fitting, setFitting] = useState(false);
    return (
        <Section
            title={`${aircraft.components.length} components are fitted`}
            aside={
                may && (
                    <Button kind="quiet" className="noprint text-sm" onClick={() => setFitting(true)}>
                        Fit one from the store
                    </Button>
                )
            }
        >
            <table className="w-full text-left">
                <thead className="text-sm text-soft">
                    <tr>
                        {['Place', 'Component', 'Part', 'Serial', 'Its own counters', 'Since', ''].map((h) => (
                            <th key={h} className="py-1.5 pr-4 font-semibold">
                                {h}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {aircraft.components.map((c) => (
                        <tr key={c.id} className="border-t border-rule/60" data-component={c.serial}>
                            <td className="py-2 pr-4 font-semibold">{c.position}</td>
                            <td className="pr-4">{c.title}</td>
                            <td className="pr-4 font-mono">{c.partNo}</td>
                            <td className="pr-4 font-mono">{c.serial}</td>
                            <td className="pr-4">{c.counters === '' ? <span className="text-soft">calendar only</span> : c.counters}</td>
                            <td className="pr-4 whitespace-nowrap">{short(c.since, aircraft.today)}</td>
                            <td className="text-right whitespace-nowrap">
                                {c.gauge && (
                                    <Link to="/fleet/bottles" className="mr-3 text-sm underline underline-offset-4">
                                        trend
                                    </Link>
                                )}
                                {may && (
                                    <button
                                        type="button"
                                        className="min-h-9 px-2 text-sm underline underline-offset-4"
                                        onClick={() => setOff(c)}
                                    >
                                        move
                                    </button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {aircraft.components.length === 0 && <p className="py-4 text-soft">Nothing with a life of its own is fitted.</p>}
            {off && <Move component={off} onClose={() => setOff(null)} />}
            {fitting && <Fit aircraft={aircraft} onClose={() => setFitting(false)} />}
        </Section>
    );
}

const useMove = (id: number, done: () => void) =>
    useSend(
        (body: { mark: string | null; position: string; reason: string; stamp: string; pin: string }, headers) =>
            take(api.POST('/api/components/{id}/move', { params: { path: { id } }, body, headers })),
        done,
    );

function Move({ component, onClose }: { component: Fitted; onClose: () => void }) {
    const marks = useFleet().data?.rows.map((r) => r.mark) ?? [];
    const [mark, setMark] = useState('');
    const [position, setPosition] = useState('');
    const [reason, setReason] = useState('');
    const [signed, setSigned] = useState({ stamp: '', pin: '' });
    const move = useMove(component.id, onClose);
    const submit = (e: FormEvent) => {
        e.preventDefault();
        move.mutate({ mark: mark === '' ? null : mark, position, reason, ...signed });
    };
    return (
        <Dialog open onClose={onClose} title={`Move ${component.title} ${component.serial}`}>
            <form onSubmit={submit} className="grid gap-4">
                <p className="text-soft">Its counters, and everything done to it, go with it: {component.counters || 'calendar only'}.</p>
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
                <Sign signed={signed} onSigned={setSigned} />
                <Trouble error={move.error} />
                <Button kind="main" big type="submit" disabled={move.isPending || position === '' || reason === '' || !isSigned(signed)}>
                    {mark === '' ? 'Take it off' : `Move it to ${mark}`}
                </Button>
            </form>
        </Dialog>
    );
}

function Fit({ aircraft, onClose }: { aircraft: Schemas['AircraftView']; onClose: () => void }) {
    const stored = useStored().data ?? [];
    const [id, setId] = useState(0);
    const [position, setPosition] = useState('');
    const [reason, setReason] = useState('');
    const [signed, setSigned] = useState({ stamp: '', pin: '' });
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
                <Sign signed={signed} onSigned={setSigned} />
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

type Signed = { stamp: string; pin: string };

const isSigned = (s: Signed) => s.stamp !== '' && s.pin !== '';

/** Whoever moves a component signs for it. */
function Sign({ signed, onSigned }: { signed: Signed; onSigned: (s: Signed) => void }) {
    return (
        <div className="grid grid-cols-2 gap-3">
            <Field
                label="Your stamp"
                name="stamp"
                autoComplete="off"
                value={signed.stamp}
                onChange={(e) => onSigned({ ...signed, stamp: e.target.value })}
            />
            <Field
                label="Your PIN"
                name="pin"
                type="password"
                inputMode="numeric"
                autoComplete="off"
                value={signed.pin}
                onChange={(e) => onSigned({ ...signed, pin: e.target.value })}
            />
        </div>
    );
}
