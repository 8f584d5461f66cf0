import type { FormEvent } from 'react';
import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Entry } from '../../parts/Entry';
import { useFields } from '../../parts/fields';
import { Section, Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import type { Room } from './Manual';

/** Questions to the support desk, and the answers that came. */
export function Questions({ room }: { room: Room }) {
    const { values, set, bind } = useFields({ section: '', text: '' });
    const ask = useSend(
        (body: { section: string; text: string }, headers) =>
            take(
                api.POST('/api/library/manuals/{code}/questions', {
                    params: { path: { code: room.code } },
                    body,
                    headers,
                }),
            ),
        () => set({ text: '' }),
        { affects: [keys.library] },
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        ask.mutate(values);
    };
    return (
        <Section title="Asked of the support desk">
            {room.questions.length === 0 && <p className="text-soft">Nothing was asked yet.</p>}
            <ul className="divide-y divide-rule">
                {room.questions.map((q) => (
                    <li key={q.id} className="py-3">
                        <p>
                            <b className="font-mono">{q.section}</b> {q.text}{' '}
                            <span className="text-sm text-soft">
                                {q.by}, {q.at}
                            </span>
                        </p>
                        {q.answer ? (
                            <p className="mt-1 border-l-4 border-spruce pl-3">
                                {q.answer}{' '}
                                <span className="text-sm text-soft">
                                    {q.reference}; entered by {q.answeredBy}, {q.answeredAt}
                                </span>
                            </p>
                        ) : (
                            <Answer id={q.id} may={room.may.includes('reread')} />
                        )}
                    </li>
                ))}
            </ul>
            {room.may.includes('ask') && (
                <form onSubmit={submit} className="noprint mt-3 grid grid-cols-[8rem_minmax(0,1fr)_auto] gap-2">
                    <Entry aria-label="Section" placeholder="76-22" {...bind('section')} className="font-mono" />
                    <Entry aria-label="Question" placeholder="What is to be asked" {...bind('text')} />
                    <Button
                        type="submit"
                        className="min-h-12"
                        disabled={ask.isPending || values.section === '' || values.text === ''}
                    >
                        Ask
                    </Button>
                </form>
            )}
            <Trouble error={ask.error} />
        </Section>
    );
}

function Answer({ id, may }: { id: number; may: boolean }) {
    const { values, bind } = useFields({ answer: '', reference: '' });
    const send = useSend(
        (body: { answer: string; reference?: string }, headers) =>
            take(api.POST('/api/library/questions/{id}/answer', { params: { path: { id } }, body, headers })),
        undefined,
        { affects: [keys.library] },
    );
    if (!may) {
        return (
            <p className="mt-1">
                <State state="waiting" word="no answer yet" />
            </p>
        );
    }
    return (
        <form
            className="noprint mt-2 grid grid-cols-[minmax(0,1fr)_12rem_auto] gap-2"
            onSubmit={(e) => {
                e.preventDefault();
                send.mutate({ answer: values.answer, ...(values.reference ? { reference: values.reference } : {}) });
            }}
        >
            <Entry aria-label="Answer" placeholder="No answer yet; enter it when it comes" {...bind('answer')} />
            <Entry aria-label="Number of the answer" placeholder="its number" {...bind('reference')} />
            <Button type="submit" className="min-h-12" disabled={send.isPending || values.answer === ''}>
                Enter
            </Button>
            <Trouble error={send.error} />
        </form>
    );
}
