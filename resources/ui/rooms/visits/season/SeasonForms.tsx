import { useState } from 'react';
import { api, take } from '../../../api/client';
import { useSend } from '../../../api/hooks';
import { touches } from '../../../api/keys';
import { Button } from '../../../parts/Button';
import { plus } from '../../../parts/dates';
import { Field } from '../../../parts/Field';
import { FormDialog } from '../../../parts/FormDialog';
import { typed, useFields } from '../../../parts/fields';
import { Pick } from '../../../parts/Pick';
import { add, type Season } from './laid';
import type { Hands } from './useSeason';

/** What comes between: an aircraft that breaks down, a bay that closes. */
export function SeasonForms({
    season,
    hands,
    onMade,
}: {
    season: Season;
    hands: Hands;
    onMade: (id: string | null) => void;
}) {
    const [form, setForm] = useState<'down' | 'close' | null>(null);
    return (
        <>
            <Button onClick={() => setForm('down')}>Out of service…</Button>
            <Button onClick={() => setForm('close')}>Close a bay…</Button>
            {!hands.aside && <Button onClick={hands.layAside}>Lay beside</Button>}
            {form === 'down' && (
                <OutOfService
                    season={season}
                    onClose={() => setForm(null)}
                    onMake={(mark, bay, start, end, hours, title) => {
                        hands.lay((laid) =>
                            add(laid, { mark, bay, start, end, hours, title, items: [], pinned: true }),
                        );
                        onMade(null);
                        setForm(null);
                    }}
                />
            )}
            {form === 'close' && (
                <CloseBay
                    season={season}
                    onClose={() => setForm(null)}
                    onDone={() => {
                        hands.lay((laid) => laid);
                        setForm(null);
                    }}
                />
            )}
        </>
    );
}

function OutOfService({
    season,
    onMake,
    onClose,
}: {
    season: Season;
    onMake: (mark: string, bay: string, start: string, end: string, hours: number, title: string) => void;
    onClose: () => void;
}) {
    const first = season.aircraft[0];
    const { values: at, bind } = useFields({ start: season.from, end: plus(season.from, 4), hours: '20', title: '' });
    const [mark, setMark] = useState(first?.mark ?? '');
    const bays = season.bays.filter((b) => b.fits.includes(mark));
    const [bay, setBay] = useState('');
    const where = bays.some((b) => b.id === bay) ? bay : (bays[0]?.id ?? '');
    return (
        <FormDialog
            title="An aircraft is out of service"
            action="Lay it"
            ready={at.title.trim() !== '' && at.hours !== '' && at.end >= at.start}
            send={{ isPending: false, error: null }}
            onSend={() => onMake(mark, where, at.start, at.end, typed(at.hours), at.title)}
            onClose={onClose}
        >
            <Pick
                big
                label="Aircraft"
                name="mark"
                value={mark}
                onChange={setMark}
                options={season.aircraft.map((a) => [a.mark, `${a.mark} ${a.type}`])}
            />
            <Pick
                big
                label="Where"
                name="bay"
                value={where}
                onChange={setBay}
                options={bays.map((b) => [b.id, b.name])}
            />
            <Field label="First day" type="date" {...bind('start')} />
            <Field label="Last day" type="date" {...bind('end')} />
            <Field label="Hours of work" inputMode="decimal" {...bind('hours')} />
            <Field label="What is wrong" maxLength={120} {...bind('title')} />
        </FormDialog>
    );
}

function CloseBay({ season, onDone, onClose }: { season: Season; onDone: () => void; onClose: () => void }) {
    const bays = season.bays.filter((b) => b.bay !== null);
    const [bay, setBay] = useState(String(bays[0]?.bay ?? ''));
    const { values: at, bind } = useFields({ start: plus(season.from, 1), end: plus(season.from, 7), why: '' });
    const closed = bays.flatMap((b) => b.closed.map((c) => ({ ...c, name: b.name })));
    const send = useSend(
        (body: { start: string; end: string; why: string }, headers) =>
            take(api.POST('/api/bays/{id}/closures', { params: { path: { id: Number(bay) } }, body, headers })),
        onDone,
        { affects: touches.closures },
    );
    const open = useSend(
        (id: number, headers) => take(api.POST('/api/bay-closures/{id}/open', { params: { path: { id } }, headers })),
        onDone,
        { affects: touches.closures },
    );
    return (
        <FormDialog
            title="A bay is closed"
            action="Close it"
            ready={at.why.trim() !== ''}
            send={send}
            onSend={() => send.mutate(at)}
            onClose={onClose}
        >
            <Pick
                big
                label="Bay"
                name="bay"
                value={bay}
                onChange={setBay}
                options={bays.map((b) => [String(b.bay), b.name])}
            />
            <Field label="First day" type="date" {...bind('start')} />
            <Field label="Last day" type="date" {...bind('end')} />
            <Field label="Why" maxLength={120} {...bind('why')} />
            {closed.map((c) => (
                <p key={c.id} className="flex items-center justify-between gap-3">
                    <span>
                        {c.name} is closed: {c.why}
                    </span>
                    <Button onClick={() => open.mutate(c.id)}>Open it again</Button>
                </p>
            ))}
        </FormDialog>
    );
}
