import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { plus } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { begun } from './VisitLife';

/** Cards that are picked: they leave the visit, or become one of their own. */
export function VisitPicked({
    visit,
    cards,
    onDone,
}: {
    visit: Schemas['VisitView'];
    cards: number[];
    onDone: () => void;
}) {
    const navigate = useNavigate();
    const [form, setForm] = useState<'out' | 'split' | null>(null);
    const { values: at, bind } = useFields({
        title: `${visit.title}, part two`.slice(0, 120),
        start: plus(visit.end, 1),
        end: plus(visit.end, 2),
        reason: '',
    });
    const path = { params: { path: { id: visit.id } } };
    const close = () => setForm(null);
    const out = useSend(
        (body: { cards: number[]; reason: string }, headers) =>
            take(api.POST('/api/visits/{id}/take-out', { ...path, body, headers })),
        () => {
            close();
            onDone();
        },
    );
    const split = useSend(
        (body: { cards: number[]; reason: string; title: string; bay: string; start: string; end: string }, headers) =>
            take(api.POST('/api/visits/{id}/split', { ...path, body, headers })),
        (v) => {
            onDone();
            void navigate(`/visits/${v.id}`);
        },
    );
    const many = cards.length === 1 ? 'one card' : `${cards.length} cards`;
    const why = begun(visit) && <Field label="Why, now that it has begun" maxLength={300} {...bind('reason')} />;
    const ready = !begun(visit) || at.reason.trim() !== '';
    return (
        <div className="noprint sticky bottom-2 z-10 mt-4 flex items-center gap-3 rounded-lg border-2 border-ink bg-sheet px-4 py-2">
            <b>{many} picked</b>
            <Button onClick={() => setForm('out')}>Take out…</Button>
            <Button onClick={() => setForm('split')}>Into a visit of their own…</Button>
            <Button kind="quiet" onClick={onDone}>
                Pick none
            </Button>
            {form === 'out' && (
                <FormDialog
                    title={`Take ${many} out of ${visit.title}?`}
                    action="Take them out"
                    ready={ready}
                    send={out}
                    onSend={() => out.mutate({ cards, reason: at.reason })}
                    onClose={close}
                >
                    <p>
                        What they were made for is to be planned again; panels and jacks that nobody else wants go too.
                    </p>
                    {why}
                </FormDialog>
            )}
            {form === 'split' && (
                <FormDialog
                    title={`A visit of their own for ${many}`}
                    action="Make it"
                    ready={ready && at.title.trim() !== ''}
                    send={split}
                    onSend={() => split.mutate({ cards, bay: visit.bay, ...at })}
                    onClose={close}
                >
                    <Field label="Title" maxLength={120} {...bind('title')} />
                    <Field label="First day" type="date" {...bind('start')} />
                    <Field label="Last day" type="date" {...bind('end')} />
                    <p className="text-soft">In {visit.bay}; move it from there.</p>
                    {why}
                </FormDialog>
            )}
        </div>
    );
}
