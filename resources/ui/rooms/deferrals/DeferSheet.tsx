import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Check } from '../../parts/Check';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';
import { Signature } from '../../parts/Signature';

/** Says what is decided, asks what the list leaves open, and is signed. */
export function DeferSheet({
    room,
    option: o,
    onClose,
}: {
    room: Schemas['OptionsView'];
    option: Schemas['OptionView'];
    onClose: () => void;
}) {
    const f = room.finding;
    const go = useNavigate();
    const [position, setPosition] = useState(o.position ?? '');
    const [because, setBecause] = useState('');
    const [placard, setPlacard] = useState(false);
    const [sure, setSure] = useState(false);
    const [carry, setCarry] = useState<number[]>([]);
    const send = useSend(
        ({ stamp, pin }: { stamp: string; pin: string }, headers) =>
            take(
                api.POST('/api/findings/{id}/defer', {
                    params: { path: { id: f.id } },
                    body: {
                        item: o.id,
                        position: position || null,
                        because: because || null,
                        placard: o.safe !== null || placard,
                        carry,
                        sure,
                        stamp,
                        pin,
                    },
                    headers,
                }),
            ),
        (page) => go(`/deferrals/${page.deferral.id}`),
    );
    const ready =
        (o.safe !== null || placard) &&
        (o.positions.length === 0 || position !== '') &&
        (o.fits || because.trim() !== '') &&
        (o.forbids.length === 0 || sure);
    return (
        <Signature
            open
            title={`Carry ${f.number} under ${o.code}`}
            says={
                <>
                    I defer "{f.place}: {f.extent}" on {f.mark} under {o.code} {o.title}, category {o.category}. It{' '}
                    {o.said.charAt(0).toLowerCase() + o.said.slice(1)}.{' '}
                    {o.safe ? `Card ${o.safe} makes it safe first.` : ''}
                </>
            }
            busy={send.isPending}
            error={send.error}
            ready={ready}
            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
            onClose={onClose}
        >
            <div className="mb-4 space-y-3">
                {o.positions.length > 0 && (
                    <Pick big label="Which one" name="position" value={position} onChange={setPosition}>
                        <option value="">choose</option>
                        {o.positions.map((p) => (
                            <option key={p}>{p}</option>
                        ))}
                    </Pick>
                )}
                {!o.fits && (
                    <Field
                        label={`Why it is covered: ${o.why}`}
                        name="because"
                        value={because}
                        onChange={(e) => setBecause(e.target.value)}
                    />
                )}
                {o.safe === null && (
                    <Check name="placard" checked={placard} onChange={setPlacard}>
                        The placard <span className="font-mono">{o.placard}</span> is fitted.
                    </Check>
                )}
                {room.devices.map((d) => (
                    <Check
                        key={d.id}
                        name={`carry-${d.id}`}
                        checked={carry.includes(d.id)}
                        onChange={(on) => setCarry(on ? [...carry, d.id] : carry.filter((id) => id !== d.id))}
                    >
                        {d.what}, card {d.card}, stays on under this deferral.
                    </Check>
                ))}
                {o.forbids.length > 0 && (
                    <Check name="sure" checked={sure} onChange={setSure}>
                        The aircraft could not fly with it: {o.forbids.join('; ')}. It is deferred all the same.
                    </Check>
                )}
            </div>
        </Signature>
    );
}
