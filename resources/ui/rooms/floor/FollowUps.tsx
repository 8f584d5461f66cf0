import { useState } from 'react';
import { Link } from 'react-router';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { Section, Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { State } from '../../parts/State';
import { Mistake, Say, useAnswer, Wrong } from './FollowForms';

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
