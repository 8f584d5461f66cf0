import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useFollows, useSend } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

type Rule = Schemas['FollowRuleView'];

/** What follows from a sort of finding, or from a limit that was exceeded: the rules of every type. */
export function Follows() {
    return (
        <Wait query={useFollows()}>
            {(room) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/library">
                            Library
                        </Link>
                    }
                    sentence={room.sentence}
                    note="Each repeats what the approved data says, and names where. A second person brings it in force."
                >
                    {room.types.map((t) => (
                        <Section
                            key={t}
                            title={t}
                            aside={
                                <span className="noprint flex gap-4 text-sm">
                                    {room.may && (
                                        <Link
                                            className="underline underline-offset-4"
                                            to={`/library/follows/${t}/write`}
                                        >
                                            new rule
                                        </Link>
                                    )}
                                    <a
                                        className="underline underline-offset-4"
                                        href={`/api/library/follows/${t}/file.json`}
                                        download
                                    >
                                        JSON
                                    </a>
                                </span>
                            }
                        >
                            <ul className="divide-y divide-rule">
                                {room.rules
                                    .filter((r) => r.type === t)
                                    .map((r) => (
                                        <One key={r.id} rule={r} may={room.may} />
                                    ))}
                            </ul>
                            {room.rules.every((r) => r.type !== t) && (
                                <p className="py-2 text-soft">No rule yet. Write one, or bring in a file in Library.</p>
                            )}
                        </Section>
                    ))}
                </Page>
            )}
        </Wait>
    );
}

function One({ rule, may }: { rule: Rule; may: boolean }) {
    const [asking, setAsking] = useState<'decline' | 'withdraw' | null>(null);
    const decide = useDecide(() => setAsking(null));
    return (
        <li className="grid grid-cols-[7rem_minmax(0,1fr)_auto] gap-4 py-3" data-rule={rule.code}>
            <State state={rule.state as 'clear' | 'watch'} word={rule.word} />
            <div>
                <p>
                    <b className="font-mono">{rule.code}</b> <b>{rule.title}</b>{' '}
                    <span className="text-sm text-soft">
                        {rule.source}, version {rule.version}
                    </span>
                </p>
                <p className="mt-0.5">{rule.when}</p>
                <ul className="mt-1 space-y-0.5">
                    {rule.then.map((line) => (
                        <li key={line} className="whitespace-pre-wrap">
                            {line}
                        </li>
                    ))}
                </ul>
                <p className="mt-1 text-sm text-soft">
                    {rule.by}
                    {rule.reason && `: ${rule.reason}`}
                    {rule.decided && `; agreed by ${rule.decided}`}
                </p>
                <Trouble error={asking === null ? decide.error : null} />
            </div>
            {may && (
                <div className="noprint flex flex-col items-end gap-2">
                    {rule.proposed && rule.mine && (
                        <span className="max-w-40 text-right text-sm text-soft">
                            Yours: somebody else brings it in force.
                        </span>
                    )}
                    {rule.proposed && !rule.mine && (
                        <>
                            <Button
                                kind="main"
                                disabled={decide.isPending}
                                onClick={() => decide.mutate({ id: rule.id, do: 'accept', why: '' })}
                            >
                                Bring in force
                            </Button>
                            <Button onClick={() => setAsking('decline')}>Decline …</Button>
                        </>
                    )}
                    <ButtonLink to={`/library/follows/${rule.type}/write?from=${rule.id}`}>Change</ButtonLink>
                    {!rule.proposed && (
                        <Button kind="quiet" onClick={() => setAsking('withdraw')}>
                            withdraw …
                        </Button>
                    )}
                </div>
            )}
            {asking && <Why rule={rule} what={asking} send={decide} onClose={() => setAsking(null)} />}
        </li>
    );
}

type Deciding = { id: number; do: 'accept' | 'decline' | 'withdraw'; why: string };

function useDecide(done: () => void) {
    return useSend(
        ({ id, do: what, why }: Deciding, headers) =>
            what === 'withdraw'
                ? take(
                      api.POST('/api/library/rules/{id}/withdraw', {
                          params: { path: { id } },
                          body: { why },
                          headers,
                      }),
                  )
                : take(
                      api.POST('/api/library/rules/{id}/decide', {
                          params: { path: { id } },
                          body: { accept: what === 'accept', why },
                          headers,
                      }),
                  ),
        done,
    );
}

function Why({
    rule,
    what,
    send,
    onClose,
}: {
    rule: Rule;
    what: 'decline' | 'withdraw';
    send: ReturnType<typeof useDecide>;
    onClose: () => void;
}) {
    const [why, setWhy] = useState('');
    const says = what === 'decline' ? 'Decline it' : 'Withdraw it';
    return (
        <FormDialog
            title={`${says}: ${rule.code}`}
            action={says}
            ready={why.trim().length > 2}
            send={send}
            onSend={() => send.mutate({ id: rule.id, do: what, why })}
            onClose={onClose}
        >
            {what === 'withdraw' && <p>What it opened before stays; nothing new is opened by it.</p>}
            <Field label="Why" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
        </FormDialog>
    );
}
