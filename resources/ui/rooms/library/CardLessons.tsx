import { useState } from 'react';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Section, Trouble } from '../../parts/Page';
import { State } from '../../parts/State';

type Lesson = Schemas['LessonView'];

/** What went wrong at a card once: proposed from the floor, accepted here by name. */
export function CardLessons({ room }: { room: Schemas['CardRoom'] }) {
    return room.lessons.length === 0 ? null : (
        <Section title="What went wrong here once">
            <ul className="divide-y divide-rule">
                {room.lessons.map((l) => (
                    <One key={l.id} lesson={l} may={room.may.includes('write')} />
                ))}
            </ul>
        </Section>
    );
}

const states = {
    proposed: ['watch', 'proposed'],
    accepted: ['clear', 'read first'],
    declined: ['waiting', 'declined'],
} as const;

function One({ lesson, may }: { lesson: Lesson; may: boolean }) {
    const [declining, setDeclining] = useState(false);
    const [why, setWhy] = useState('');
    const send = useSend(
        (body: Asked<'decideLesson'>, headers) =>
            take(api.POST('/api/library/lessons/{id}', { params: { path: { id: lesson.id } }, body, headers })),
        () => setDeclining(false),
    );
    const [state, word] = states[lesson.state];
    return (
        <li className="flex flex-wrap items-center gap-3 py-2" data-lesson={lesson.id}>
            <span className="w-28 shrink-0">
                <State state={state} word={word} />
            </span>
            <span className="min-w-0 flex-1">
                {lesson.text}
                <span className="block text-sm text-soft">
                    {lesson.by}
                    {lesson.decided && `; ${lesson.decided}`}
                </span>
            </span>
            {may && lesson.state === 'proposed' && lesson.mine && (
                <span className="text-sm text-soft">Yours: somebody else accepts it.</span>
            )}
            {may && lesson.state === 'proposed' && !lesson.mine && (
                <span className="flex gap-2">
                    <Button kind="main" disabled={send.isPending} onClick={() => send.mutate({ accept: true })}>
                        Accept
                    </Button>
                    <Button onClick={() => setDeclining(true)}>Decline …</Button>
                </span>
            )}
            <Trouble error={declining ? null : send.error} />
            {declining && (
                <FormDialog
                    title="Decline it"
                    action="Decline it"
                    ready={why.trim() !== ''}
                    send={send}
                    onSend={() => send.mutate({ accept: false, why })}
                    onClose={() => setDeclining(false)}
                >
                    <p>{lesson.text}</p>
                    <Field label="Why" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
                </FormDialog>
            )}
        </li>
    );
}
