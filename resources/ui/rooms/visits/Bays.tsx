import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useBays, useMe, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { Tabs } from '../../parts/Tabs';
import { BaysDrawing } from './BaysDrawing';
import { OpenSlot } from './OpenSlot';
import { visitsViews } from './views';

/** The bays' calendar: what stands where, and where an aircraft could. */
export function Bays() {
    return <Wait query={useBays()}>{(room) => <BaysOf room={room} />}</Wait>;
}

function BaysOf({ room }: { room: Schemas['BaysView'] }) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const [opening, setOpening] = useState<Schemas['BayView'] | null>(null);
    const remove = useSend(
        (id: number, headers) => take(api.POST('/api/bay-slots/{id}/remove', { params: { path: { id } }, headers })),
        undefined,
        { affects: touches.slots },
    );
    const [gone, setGone] = useState<{ bay: number; name: string; slot: Schemas['BayBlock'] } | null>(null);
    const restore = useSend(
        ({ bay, slot }: { bay: number; slot: Schemas['BayBlock'] }, headers) =>
            take(
                api.POST('/api/bays/{id}/slots', {
                    params: { path: { id: bay } },
                    body: { start: slot.start, end: slot.end, hours: slot.hours, note: slot.note },
                    headers,
                }),
            ),
        () => setGone(null),
        { affects: touches.slots },
    );
    const shut = room.bays.flatMap((b) =>
        b.blocks.filter((k) => k.kind === 'closed').map((k) => ({ bay: b, block: k })),
    );
    const free = room.bays.flatMap((b) => b.blocks.filter((k) => k.kind === 'free').map((k) => ({ bay: b, block: k })));
    return (
        <Page over={<Tabs label="Visits" tabs={visitsViews} />} sentence={room.sentence}>
            <BaysDrawing room={room} />
            <p className="mt-2 text-sm text-soft">
                Brackets are visits, heavy when in work; dashed is free; shaded is closed.
            </p>
            <Section title="Bays">
                <table className="w-full text-left">
                    <thead>
                        <tr className="border-b border-rule text-soft">
                            <th className="py-1 font-normal">Bay</th>
                            <th className="py-1 font-normal">Open</th>
                            <th className="py-1 font-normal">People</th>
                            <th />
                        </tr>
                    </thead>
                    <tbody>
                        {room.bays.map((b) => (
                            <tr key={b.id} className="border-b border-rule/70" data-bay={b.name}>
                                <th scope="row" className="py-2 font-semibold">
                                    {b.name}
                                </th>
                                <td>{b.hours}</td>
                                <td>{b.people}</td>
                                <td className="py-1.5 text-right">
                                    {b.washes ? (
                                        <span className="text-soft">washes only, between flights</span>
                                    ) : (
                                        may && <Button onClick={() => setOpening(b)}>Open a free slot</Button>
                                    )}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </Section>
            {shut.length > 0 && (
                <Section title={`Closed (${shut.length})`}>
                    <ul className="divide-y divide-rule/70">
                        {shut.map(({ bay, block }) => (
                            <li key={block.id} className="flex items-center gap-4 py-1.5">
                                <span className="w-56">
                                    {short(block.start, block.start)} to {short(block.end, block.start)}
                                </span>
                                <span className="w-48">{bay.name}</span>
                                <span className="flex-1">{block.title}</span>
                                <Link className="underline underline-offset-4" to="/visits/season">
                                    Season
                                </Link>
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            <Section title={`Free slots (${free.length})`}>
                <Trouble error={remove.error ?? restore.error} />
                {gone && (
                    <p role="status" className="flex items-center gap-3 rounded-lg border border-rule px-3 py-1.5">
                        The free slot of {gone.name} from {short(gone.slot.start)} is removed.
                        <Button disabled={restore.isPending} onClick={() => restore.mutate(gone)}>
                            Undo
                        </Button>
                    </p>
                )}
                {free.length === 0 && (
                    <p className="text-soft">None. An aircraft can still be put into a bay from its own page.</p>
                )}
                <ul className="divide-y divide-rule/70">
                    {free.map(({ bay, block }) => (
                        <li key={block.id} className="flex items-center gap-4 py-1.5">
                            <span className="w-56">
                                {short(block.start, block.start)} to {short(block.end, block.start)}
                            </span>
                            <span className="w-48">{bay.name}</span>
                            <span className="w-24">{block.hours} h</span>
                            <span className="flex-1 text-soft">{block.note}</span>
                            <Link className="underline underline-offset-4" to="/visits/season">
                                Season
                            </Link>
                            {may && (
                                <Button
                                    kind="quiet"
                                    disabled={remove.isPending}
                                    onClick={() =>
                                        remove.mutate(Number(block.id.split('-')[1]), {
                                            onSuccess: () => setGone({ bay: bay.id, name: bay.name, slot: block }),
                                        })
                                    }
                                >
                                    Remove
                                </Button>
                            )}
                        </li>
                    ))}
                </ul>
            </Section>
            {opening && <OpenSlot bay={opening} onClose={() => setOpening(null)} />}
        </Page>
    );
}
