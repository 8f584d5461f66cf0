import { useState } from 'react';
import { Link } from 'react-router';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Section, Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { severities } from './severities';

type Follow = Schemas['FollowUpView'];
type Detail = Schemas['FindingDetail'];

/** What follows from a finding: questions and looks answered by name, cards, suspects. */
export function FollowUps({ f }: { f: Detail }) {
    const may = f.may.includes('photo');
    return f.follows.length === 0 && f.rules.length === 0 ? null : (
        <Section title="What follows from it" aside={may && f.rules.length > 0 && <OpenRule f={f} />}>
            <ul className="divide-y divide-rule">
                {f.follows.map((u) => (
                    <One key={u.id} follow={u} may={may} mark={f.finding.mark} />
                ))}
            </ul>
            {f.follows.length === 0 && <p className="text-soft">No rule of Library speaks of it.</p>}
        </Section>
    );
}

function useAnswer(done: () => void) {
    return useSend(
        ({ id, ...body }: Asked<'answerFollowUp'> & { id: number }, headers) =>
            take(api.POST('/api/follow-ups/{id}', { params: { path: { id } }, body, headers })),
        done,
    );
}

function One({ follow: u, may, mark }: { follow: Follow; may: boolean; mark: string }) {
    const [asking, setAsking] = useState<'answer' | 'not' | 'wrong' | 'mistake' | null>(null);
    const answer = useAnswer(() => setAsking(null));
    const look = u.kind === 'look';
    return (
        <li className="grid grid-cols-[9rem_minmax(0,1fr)_auto] items-center gap-x-4 py-2" data-follow={u.id}>
            <State state={u.state} word={u.word} />
            <div>
                <p>
                    <span className="text-soft">{u.name}:</span> <b className="font-semibold">{u.text}</b>
                </p>
                {(u.said || u.link) && (
                    <p>
                        {u.said}{' '}
                        {u.link && (
                            <Link className="underline underline-offset-4" to={u.link}>
                                {u.linkSays}
                            </Link>
                        )}
                    </p>
                )}
                <p className="text-sm text-soft">{u.rule}</p>
                <Trouble error={asking === null ? answer.error : null} />
            </div>
            {may && u.waits && (
                <span className="noprint flex flex-wrap justify-end gap-2">
                    {u.choices.map((c) => (
                        <Button
                            key={c}
                            className="min-h-12"
                            disabled={answer.isPending}
                            onClick={() => answer.mutate({ id: u.id, answer: c })}
                        >
                            {c}
                        </Button>
                    ))}
                    {u.choices.length === 0 && (
                        <Button kind="main" className="min-h-12" onClick={() => setAsking('answer')}>
                            {look ? 'Looked, all well' : 'Answer it'}
                        </Button>
                    )}
                    {look && (
                        <Button className="min-h-12" onClick={() => setAsking('wrong')}>
                            Something is wrong
                        </Button>
                    )}
                    <Button kind="quiet" className="min-h-12" onClick={() => setAsking('not')}>
                        not needed …
                    </Button>
                </span>
            )}
            {may && u.mayReopen && (
                <Button kind="quiet" className="noprint min-h-12" onClick={() => setAsking('mistake')}>
                    a mistake …
                </Button>
            )}
            {asking === 'mistake' && <Mistake follow={u} onClose={() => setAsking(null)} />}
            {(asking === 'answer' || asking === 'not') && (
                <Say follow={u} not={asking === 'not'} send={answer} onClose={() => setAsking(null)} />
            )}
            {asking === 'wrong' && <Wrong follow={u} mark={mark} send={answer} onClose={() => setAsking(null)} />}
        </li>
    );
}

type Sending = { follow: Follow; send: ReturnType<typeof useAnswer>; onClose: () => void };

function Say({ follow, not, send, onClose }: Sending & { not: boolean }) {
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
function Mistake({ follow, onClose }: { follow: Follow; onClose: () => void }) {
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
function Wrong({ follow, mark, send, onClose }: Sending & { mark: string }) {
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

/** A rule whose words did not tell it, but somebody does. */
function OpenRule({ f }: { f: Detail }) {
    const [open, setOpen] = useState(false);
    const [rule, setRule] = useState('');
    const send = useSend(
        (body: Asked<'openRule'>, headers) =>
            take(api.POST('/api/findings/{id}/follows', { params: { path: { id: f.finding.id } }, body, headers })),
        () => setOpen(false),
    );
    return (
        <>
            <Button kind="quiet" className="noprint text-sm" onClick={() => setOpen(true)}>
                it is of another sort …
            </Button>
            {open && (
                <FormDialog
                    title={`What follows from ${f.finding.number}`}
                    action="Open it"
                    ready={rule !== ''}
                    send={send}
                    onSend={() => send.mutate({ rule: Number(rule) })}
                    onClose={() => setOpen(false)}
                >
                    <Pick label="It is of the sort" name="rule" big value={rule} onChange={setRule}>
                        <option value="">choose one</option>
                        {f.rules.map((r) => (
                            <option key={r.id} value={r.id}>
                                {r.code} {r.title}
                            </option>
                        ))}
                    </Pick>
                </FormDialog>
            )}
        </>
    );
}
