import { useState } from 'react';
import { type Asked, api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { SayNotApplicable } from './NotApplicable';
import type { StepProps } from './useStep';

type WaitBody = Asked<'wait'>;

/** What can be said at any step: a word, that it waits for something, that it does not apply. */
export function StepMore(props: StepProps) {
    const { card, step, may } = props;
    const [asking, setAsking] = useState<'remark' | 'wait' | null>(null);
    const speaks = card.may.includes('raise') && (card.state === 'open' || card.state === 'in_work');
    return (
        <div className="mt-6" data-testid="more">
            {step.remarks.length > 0 && (
                <ul className="max-w-2xl border-l-2 border-slate pl-3">
                    {step.remarks.map((r) => (
                        <li key={r.at + r.text} className="py-1">
                            {r.text}{' '}
                            <span className="text-sm text-soft">
                                {r.by}, {r.at}
                            </span>
                        </li>
                    ))}
                </ul>
            )}
            {speaks && (
                <div className="mt-1 flex flex-wrap gap-1">
                    <Button kind="quiet" className="min-h-12" onClick={() => setAsking('remark')}>
                        Add a word
                    </Button>
                    {step.state === 'open' && (
                        <Button kind="quiet" className="min-h-12" onClick={() => setAsking('wait')}>
                            It waits for …
                        </Button>
                    )}
                    {may && step.mayNotApply && step.notFor === null && <SayNotApplicable {...props} />}
                </div>
            )}
            {asking === 'remark' && <Word {...props} onClose={() => setAsking(null)} />}
            {asking === 'wait' && <WaitFor {...props} onClose={() => setAsking(null)} />}
        </div>
    );
}

function Word({ card, step, onClose }: StepProps & { onClose: () => void }) {
    const [text, setText] = useState('');
    const send = useSend(
        (body: Asked<'remark'>, headers) =>
            take(
                api.POST('/api/cards/{id}/steps/{no}/remarks', {
                    params: { path: { id: card.id, no: step.no } },
                    body,
                    headers,
                }),
            ),
        onClose,
    );
    return (
        <FormDialog
            title={`A word at step ${step.no}`}
            action="Save"
            ready={text.trim().length > 1}
            send={send}
            onSend={() => send.mutate({ text })}
            onClose={onClose}
        >
            <textarea
                name="text"
                autoFocus
                rows={3}
                value={text}
                onChange={(e) => setText(e.target.value)}
                aria-label="What you want to add"
                className="w-full rounded-lg border-2 border-soft bg-sheet p-3"
            />
        </FormDialog>
    );
}

const kinds: { value: WaitBody['kind']; name: string }[] = [
    { value: 'part', name: 'a part' },
    { value: 'tool', name: 'a tool' },
    { value: 'help', name: 'help' },
    { value: 'answer', name: 'an answer' },
];

function WaitFor({ card, step, onClose }: StepProps & { onClose: () => void }) {
    const [kind, setKind] = useState<WaitBody['kind']>('part');
    const [what, setWhat] = useState('');
    const send = useSend(
        (body: WaitBody, headers) =>
            take(api.POST('/api/cards/{id}/waits', { params: { path: { id: card.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title="What does it wait for?"
            action="It waits"
            ready={what.trim().length > 1}
            send={send}
            onSend={() => send.mutate({ kind, what, step: step.no })}
            onClose={onClose}
        >
            <Choice big label="Waits for" value={kind} options={kinds} onChange={setKind} />
            <label className="mt-3 block">
                <span className="mb-1 block font-semibold">Which, and how many</span>
                <input
                    name="lack"
                    autoFocus
                    value={what}
                    onChange={(e) => setWhat(e.target.value)}
                    className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                />
            </label>
            <p className="mt-2 text-sm text-soft">The controller is told at once.</p>
        </FormDialog>
    );
}

/** What the card waits for, since when, and the way on. */
export function Waits({ card }: { card: StepProps['card'] }) {
    const send = useSend((wait: number, headers) =>
        take(
            api.POST('/api/cards/{id}/waits/{wait}/end', {
                params: { path: { id: card.id, wait } },
                headers,
            }),
        ),
    );
    return card.waits.length === 0 ? null : (
        <section
            className="mt-3 rounded-lg border-2 border-dashed border-slate px-4 py-2"
            role="status"
            data-testid="waits"
        >
            {card.waits.map((w) => (
                <p key={w.id} className="flex items-center justify-between gap-3 py-1">
                    <span>
                        <State state="waiting" word={`Waits for ${w.kind === 'help' ? 'help' : `the ${w.kind}`}`} />:{' '}
                        {w.what}.{' '}
                        <span className="text-sm text-soft">
                            {w.step !== null && `Step ${w.step}; `}
                            since {w.since}, {w.by}
                        </span>
                    </span>
                    {card.may.includes('raise') && (
                        <Button
                            className="min-h-12 shrink-0"
                            disabled={send.isPending}
                            onClick={() => send.mutate(w.id)}
                        >
                            It is there
                        </Button>
                    )}
                </p>
            ))}
            <Trouble error={send.error} />
        </section>
    );
}
