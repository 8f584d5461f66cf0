import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend, useVisitMore } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Wait } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { toggled } from '../../parts/toggled';

type Visit = Schemas['VisitView'];
type Form = 'edit' | 'put' | 'merge' | 'cancel';

/** What can be made of a visit: other days, more items, one with another, or nothing. */
export function VisitLife({ visit }: { visit: Visit }) {
    const [form, setForm] = useState<Form | null>(null);
    const close = () => setForm(null);
    const forms: Record<Form, string> = {
        edit: 'Rename or move…',
        put: 'Put items in…',
        merge: 'Merge into another…',
        cancel: 'Cancel it…',
    };
    return (
        <div className="noprint mt-2 flex flex-wrap gap-2" data-testid="life">
            {(Object.keys(forms) as Form[]).map((f) => (
                <Button key={f} onClick={() => setForm(f)}>
                    {forms[f]}
                </Button>
            ))}
            {form === 'edit' && <EditVisit visit={visit} onClose={close} />}
            {form === 'put' && <PutIn visit={visit} onClose={close} />}
            {form === 'merge' && <Merge visit={visit} onClose={close} />}
            {form === 'cancel' && <Cancel visit={visit} onClose={close} />}
        </div>
    );
}

interface Props {
    visit: Visit;
    onClose: () => void;
}

/** What is decided of a visit that has begun says why. */
export const begun = (visit: Visit): boolean => visit.state === 'in_work';

/** Another title, other days, another bay. */
export function EditVisit({ visit, onClose }: Props) {
    const { values: at, bind } = useFields({ title: visit.title, start: visit.start, end: visit.end, reason: '' });
    const [bay, setBay] = useState(visit.bay);
    const send = useSend(
        (body: { title: string; start: string; end: string; bay: string; reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/edit', { params: { path: { id: visit.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title="Another title, other days, another bay"
            action="Change it"
            ready={at.title.trim() !== '' && (!begun(visit) || at.reason.trim() !== '')}
            send={send}
            onSend={() => send.mutate({ ...at, bay })}
            onClose={onClose}
        >
            <Field label="Title" maxLength={120} {...bind('title')} />
            <Wait query={useVisitMore(visit.id)}>
                {(more) => (
                    <Pick
                        big
                        label="Where"
                        value={bay}
                        onChange={setBay}
                        options={more.bays.map((b) => [b, b === 'line' ? 'outside, on the line' : b])}
                    />
                )}
            </Wait>
            <Field label="First day" type="date" disabled={begun(visit)} {...bind('start')} />
            <Field label="Last day" type="date" {...bind('end')} />
            {begun(visit) && <Field label="Why, now that it has begun" maxLength={300} {...bind('reason')} />}
        </FormDialog>
    );
}

function PutIn({ visit, onClose }: Props) {
    const { values: at, bind } = useFields({ find: '', reason: '' });
    const [picked, setPicked] = useState<string[]>([]);
    const send = useSend(
        (body: { items: string[]; reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/items', { params: { path: { id: visit.id } }, body, headers })),
        onClose,
    );
    const fits = (i: Schemas['MoreItem']) => `${i.code} ${i.title}`.toLowerCase().includes(at.find.toLowerCase());
    return (
        <FormDialog
            title={`More for ${visit.title}`}
            wide
            action={picked.length === 0 ? 'Put them in' : `Put ${picked.length} in`}
            ready={picked.length > 0 && (!begun(visit) || at.reason.trim() !== '')}
            send={send}
            onSend={() => send.mutate({ items: picked, reason: at.reason })}
            onClose={onClose}
        >
            <Field label="Find" {...bind('find')} />
            <Wait query={useVisitMore(visit.id)}>
                {(more) => (
                    <ul className="max-h-72 overflow-auto">
                        {more.items.filter(fits).map((i) => (
                            <li key={i.key}>
                                <label className="flex min-h-10 items-center gap-3">
                                    <input
                                        type="checkbox"
                                        className="size-5 accent-spruce"
                                        disabled={i.why !== null}
                                        checked={picked.includes(i.key)}
                                        onChange={() => setPicked(toggled(picked, i.key))}
                                    />
                                    <span className="w-16 font-mono text-sm">{i.code}</span>
                                    <span className="flex-1">{i.title}</span>
                                    <span className="text-sm text-soft">
                                        {i.why ?? `by ${short(i.latest)}, ${i.hours} h`}
                                    </span>
                                </label>
                            </li>
                        ))}
                    </ul>
                )}
            </Wait>
            {begun(visit) && <Field label="Why, now that it has begun" maxLength={300} {...bind('reason')} />}
        </FormDialog>
    );
}

function Merge({ visit, onClose }: Props) {
    const navigate = useNavigate();
    const { values: at, bind } = useFields({ reason: '' });
    const [into, setInto] = useState('');
    const more = useVisitMore(visit.id);
    const visits = more.data?.visits ?? [];
    const chosen = into === '' ? String(visits[0]?.id ?? '') : into;
    const send = useSend(
        (body: { into: number; reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/merge', { params: { path: { id: visit.id } }, body, headers })),
        (v) => void navigate(`/visits/${v.id}`),
    );
    return (
        <FormDialog
            title={`${visit.title} into another visit of ${visit.mark}`}
            action="Merge them"
            ready={chosen !== ''}
            send={send}
            onSend={() => send.mutate({ into: Number(chosen), reason: at.reason })}
            onClose={onClose}
        >
            {visits.length === 0 ? (
                <p>{visit.mark} has no other visit.</p>
            ) : (
                <Pick
                    big
                    label="Into"
                    value={chosen}
                    onChange={setInto}
                    options={visits.map((v) => [String(v.id), `${short(v.start)}, ${v.title}`])}
                />
            )}
            <p>Its cards go there; the visit is cancelled, its bay is free.</p>
            <Field label="Why, where one of them has begun" maxLength={300} {...bind('reason')} />
        </FormDialog>
    );
}

function Cancel({ visit, onClose }: Props) {
    const navigate = useNavigate();
    const { values: at, bind } = useFields({ reason: '' });
    const send = useSend(
        (body: { reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/cancel', { params: { path: { id: visit.id } }, body, headers })),
        () => void navigate('/visits'),
    );
    return (
        <FormDialog
            title={`Cancel ${visit.title} of ${visit.mark}?`}
            action="Cancel the visit"
            ready={at.reason.trim() !== ''}
            send={send}
            onSend={() => send.mutate(at)}
            onClose={onClose}
        >
            <p>
                {visit.total === 1 ? 'Its card goes' : `Its ${visit.total} cards go`}; what they were made for is to be
                planned again. The bay is free. The record keeps it, with the reason.
            </p>
            <Field label="Why" maxLength={300} {...bind('reason')} />
        </FormDialog>
    );
}
