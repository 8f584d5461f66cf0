import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useCalendarLinks, useMe, useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Heads } from '../../parts/Heads';
import { Page, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

/** Addresses under which a calendar program reads visits, due dates and deferral expiries. */
export function Calendar() {
    return <Wait query={useCalendarLinks()}>{(links) => <CalendarOf links={links} />}</Wait>;
}

function CalendarOf({ links }: { links: Schemas['CalendarLinkView'][] }) {
    const may = useMe().data?.may ?? [];
    const [name, setName] = useState('');
    const [made, setMade] = useState<Schemas['CalendarLinkView'] | null>(null);
    const make = useSend(
        (body: { name: string }, headers) => take(api.POST('/api/calendar-links', { body, headers })),
        (link) => {
            setMade(link);
            setName('');
        },
        { affects: [keys.calendarLinks] },
    );
    const revoke = useSend(
        (id: number, headers) =>
            take(api.POST('/api/calendar-links/{id}/revoke', { params: { path: { id } }, headers })),
        undefined,
        { affects: [keys.calendarLinks] },
    );
    const standing = links.filter((l) => l.revoked === null);
    const submit = (e: FormEvent) => {
        e.preventDefault();
        make.mutate({ name });
    };
    return (
        <Page
            over={<Tabs label="Fleet" tabs={fleetViews} />}
            sentence={
                standing.length === 0
                    ? 'No calendar reads the fleet yet.'
                    : `${standing.length === 1 ? 'One calendar reads' : `${standing.length} calendars read`} the fleet.`
            }
            note="A link shows visits, what falls due within 90 days, and when deferrals run out, to whoever holds its address. Revoke it, and the address is dead."
        >
            {may.includes('edit') ? (
                <form onSubmit={submit} className="flex items-end gap-3">
                    <Field
                        label="What for"
                        name="name"
                        className="w-80"
                        placeholder="Hangar wall screen"
                        value={name}
                        onChange={(e) => setName(e.target.value)}
                    />
                    <Button kind="main" big type="submit" disabled={name === '' || make.isPending}>
                        Make a link
                    </Button>
                </form>
            ) : (
                <p className="text-soft">A controller makes these links.</p>
            )}
            <Trouble error={make.error ?? revoke.error} />
            {made?.address && (
                <div className="mt-4 rounded-xl border-2 border-spruce bg-sheet p-4" data-testid="address">
                    <p>The address of “{made.name}”. It is shown this once; put it into the calendar program now.</p>
                    <p className="mt-2 flex items-center gap-3">
                        <code className="min-w-0 flex-1 overflow-x-auto rounded bg-paper px-2 py-1 font-mono text-sm">
                            {made.address}
                        </code>
                        <Button onClick={() => void navigator.clipboard?.writeText(made.address ?? '')}>Copy</Button>
                    </p>
                </div>
            )}
            {links.length > 0 && (
                <table className="mt-6 w-full text-left">
                    <Heads of={['State', 'What for', 'Whose', 'Made', 'Last read', '']} />
                    <tbody>
                        {links.map((l) => (
                            <tr key={l.id} className="border-t border-rule/60" data-link={l.name}>
                                <td className="py-2 pr-4">
                                    <State
                                        state={l.revoked ? 'stop' : 'clear'}
                                        word={
                                            l.revoked
                                                ? l.revoked.startsWith('ended')
                                                    ? l.revoked
                                                    : 'revoked'
                                                : 'in use'
                                        }
                                    />
                                </td>
                                <td className="pr-4">{l.name}</td>
                                <td className="pr-4">{l.whose}</td>
                                <td className="pr-4">{l.made}</td>
                                <td className="pr-4">{l.read ?? 'never'}</td>
                                <td className="text-right">
                                    {l.revoked === null && may.includes('edit') && (
                                        <Button disabled={revoke.isPending} onClick={() => revoke.mutate(l.id)}>
                                            Revoke
                                        </Button>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </Page>
    );
}
