import { useState } from 'react';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Choice } from '../../parts/Tabs';
import { severities } from './severities';

type Follow = Schemas['FollowUpView'];

export function useAnswer(done: () => void) {
    return useSend(
        ({ id, ...body }: Asked<'answerFollowUp'> & { id: number }, headers) =>
            take(api.POST('/api/follow-ups/{id}', { params: { path: { id } }, body, headers })),
        done,
    );
}

type Sending = { follow: Follow; send: ReturnType<typeof useAnswer>; onClose: () => void };

export function Say({ follow, not, send, onClose }: Sending & { not: boolean }) {
    const [said, setSaid] = useState('');
    const label = not ? 'Why it is not needed here' : follow.kind === 'look' ? 'What you saw, and how' : 'The answer';
    return (
        <FormDialog
            title={follow.text}
            action={not ? 'It is not needed' : 'Save the answer'}
            ready={said.trim().length > 1}
            send={send}
            onSend={() => send.mutate({ id: follow.id, answer: said, not_needed: not })}
            onClose={onClose}
        >
            <Field label={label} name="answer" autoFocus value={said} onChange={(e) => setSaid(e.target.value)} />
        </FormDialog>
    );
}

/** It was answered wrongly: open once more; the record keeps what was said. */
export function Mistake({ follow, onClose }: { follow: Follow; onClose: () => void }) {
    const [why, setWhy] = useState('');
    const send = useSend(
        (body: Asked<'mistakenFollowUp'>, headers) =>
            take(api.POST('/api/follow-ups/{id}/mistake', { params: { path: { id: follow.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={follow.text}
            action="Answer it once more"
            ready={why.trim().length > 2}
            send={send}
            onSend={() => send.mutate({ why })}
            onClose={onClose}
        >
            <p>{follow.said} stays in the record.</p>
            <Field label="What was wrong" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
        </FormDialog>
    );
}

/** What is wrong there is a finding of its own. */
export function Wrong({ follow, mark, send, onClose }: Sending & { mark: string }) {
    const [place, setPlace] = useState('');
    const [extent, setExtent] = useState('');
    const [severity, setSeverity] = useState<(typeof severities)[number]['value']>('minor');
    return (
        <FormDialog
            title={`Something is wrong on ${mark}`}
            action="Raise the finding"
            ready={place.trim() !== '' && extent.trim() !== ''}
            send={send}
            onSend={() => send.mutate({ id: follow.id, answer: extent, wrong: { place, extent, severity } })}
            onClose={onClose}
        >
            <p className="text-soft">{follow.text}</p>
            <Field label="Place" name="place" autoFocus value={place} onChange={(e) => setPlace(e.target.value)} />
            <Field label="Extent" name="extent" value={extent} onChange={(e) => setExtent(e.target.value)} />
            <Choice big label="How bad" options={severities} value={severity} onChange={setSeverity} />
        </FormDialog>
    );
}
