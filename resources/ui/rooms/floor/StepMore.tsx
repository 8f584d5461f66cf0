import { type ReactNode, useState } from 'react';
import { type Asked, api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Choice } from '../../parts/Tabs';
import { SayNotApplicable } from './NotApplicable';
import { StepPhoto } from './StepPhoto';
import type { StepProps } from './useStep';

type WaitBody = Asked<'wait'>;

/** What can be said at any step: a word, that it waits for something, that it does not apply. */
export function StepMore(props: StepProps) {
    const { card, step, may } = props;
    const [asking, setAsking] = useState<'remark' | 'photo' | 'wait' | 'lesson' | null>(null);
    const speaks = card.may.includes('raise') && (card.state === 'open' || card.state === 'in_work');
    return (
        <div className="mt-6" data-testid="more">
            {step.remarks.length > 0 && (
                <ul className="max-w-2xl border-l-2 border-slate pl-3">
                    {step.remarks.map((r) => (
                        <li key={r.at + r.text} className="py-1">
                            {r.photo && (
                                <a
                                    href={r.photo}
                                    target="_blank"
                                    rel="noreferrer"
                                    className="mr-3 inline-block align-middle"
                                >
                                    <img
                                        src={r.photo}
                                        alt={r.text}
                                        className="h-20 w-28 rounded-lg border border-rule object-cover"
                                    />
                                </a>
                            )}
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
                    <Button kind="quiet" className="min-h-12" onClick={() => setAsking('photo')}>
                        Add a photo
                    </Button>
                    {step.state === 'open' && (
                        <Button kind="quiet" className="min-h-12" onClick={() => setAsking('wait')}>
                            It waits for …
                        </Button>
                    )}
                    <Button kind="quiet" className="min-h-12" onClick={() => setAsking('lesson')}>
                        The next one should know …
                    </Button>
                    {may && step.mayNotApply && step.notFor === null && <SayNotApplicable {...props} />}
                </div>
            )}
            {asking === 'remark' && <Word {...props} onClose={() => setAsking(null)} />}
            {asking === 'photo' && <StepPhoto {...props} onClose={() => setAsking(null)} />}
            {asking === 'lesson' && <Lesson {...props} onClose={() => setAsking(null)} />}
            {asking === 'wait' && <WaitFor {...props} onClose={() => setAsking(null)} />}
        </div>
    );
}

function Word({ card, step, onClose }: StepProps & { onClose: () => void }) {
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
    return <Words title={`A word at step ${step.no}`} what="What you want to add" send={send} onClose={onClose} />;
}

/** What went wrong here, so that whoever takes such a card next reads of it first. */
function Lesson({ card, onClose }: StepProps & { onClose: () => void }) {
    const send = useSend(
        (body: Asked<'proposeLesson'>, headers) =>
            take(api.POST('/api/cards/{id}/lessons', { params: { path: { id: card.id } }, body, headers })),
        onClose,
    );
    return (
        <Words
            title="What should the next one know?"
            what="What went wrong, and how it is done right"
            send={send}
            onClose={onClose}
        >
            <p className="text-soft">
                Whoever answers for the cards accepts it; then it is read before such a card is begun.
            </p>
        </Words>
    );
}

function Words({
    title,
    what,
    send,
    onClose,
    children,
}: {
    title: string;
    what: string;
    send: ReturnType<typeof useSend<{ text: string }, unknown>>;
    onClose: () => void;
    children?: ReactNode;
}) {
    const [text, setText] = useState('');
    return (
        <FormDialog
            title={title}
            action="Save"
            ready={text.trim().length > 1}
            send={send}
            onSend={() => send.mutate({ text })}
            onClose={onClose}
        >
            {children}
            <textarea
                name="text"
                autoFocus
                rows={3}
                value={text}
                onChange={(e) => setText(e.target.value)}
                aria-label={what}
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
            <Field
                label="Which, and how many"
                name="lack"
                autoFocus
                value={what}
                onChange={(e) => setWhat(e.target.value)}
            />
            <p className="mt-2 text-sm text-soft">The controller is told at once.</p>
        </FormDialog>
    );
}
