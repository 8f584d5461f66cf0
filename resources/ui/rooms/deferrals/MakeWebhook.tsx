import { useState } from 'react';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';

type Told = 'due.soon' | 'deferral.expiring' | 'deferral.extension_asked' | 'finding.raised' | 'aircraft.released';

/** A new address: what for, where to, and what it is told of. */
export function MakeWebhook(props: {
    events: Record<string, string>;
    onMade: (secret: string | null) => void;
    onClose: () => void;
}) {
    const [name, setName] = useState('');
    const [address, setAddress] = useState('');
    const [events, setEvents] = useState(Object.keys(props.events) as Told[]);
    const make = useSend(
        (body: { name: string; address: string; events: Told[] }, headers) =>
            take(api.POST('/api/webhooks', { body, headers })),
        (room) => {
            props.onMade(room.secret);
            props.onClose();
        },
        { affects: [keys.reminders] },
    );
    const turn = (event: Told) =>
        setEvents(events.includes(event) ? events.filter((e) => e !== event) : [...events, event]);
    return (
        <FormDialog
            title="Tell an address"
            action="Tell it from now on"
            ready={name.trim() !== '' && address.trim() !== '' && events.length > 0}
            send={make}
            onSend={() => make.mutate({ name, address, events })}
            onClose={props.onClose}
        >
            <Field
                label="What for"
                name="name"
                placeholder="Hangar wall screen"
                value={name}
                onChange={(e) => setName(e.target.value)}
            />
            <Field
                label="Where to, http or https"
                name="address"
                inputMode="url"
                value={address}
                onChange={(e) => setAddress(e.target.value)}
            />
            <fieldset className="mt-3">
                <legend className="text-soft">It is told when</legend>
                {(Object.entries(props.events) as [Told, string][]).map(([event, said]) => (
                    <label key={event} className="flex min-h-11 items-center gap-3">
                        <input
                            type="checkbox"
                            className="size-6 accent-spruce"
                            checked={events.includes(event)}
                            onChange={() => turn(event)}
                        />
                        {said}
                    </label>
                ))}
            </fieldset>
        </FormDialog>
    );
}
