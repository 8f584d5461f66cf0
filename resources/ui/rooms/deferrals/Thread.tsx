import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Section, Trouble } from '../../parts/Page';
import { State } from '../../parts/State';

const words: Record<string, [string, string]> = {
    done: ['clear', 'done'],
    now: ['watch', 'next'],
    later: ['waiting', 'later'],
};

/** The closure, stage after stage, nothing skipped; each stage leads to its cards. */
export function Thread({ page: p }: { page: Schemas['DeferralPage'] }) {
    const off = useSend((id: number, headers) =>
        take(api.POST('/api/deferrals/{id}/placard-off', { params: { path: { id } }, headers })),
    );
    return (
        <Section title="Closure">
            <ol>
                {p.stages.map((s) => {
                    const [state, word] = words[s.state] ?? ['waiting', s.state];
                    return (
                        <li
                            key={s.stage}
                            className="grid min-h-9 grid-cols-[5.5rem_minmax(0,1fr)] items-start gap-3 border-b border-rule/60 py-1.5"
                            data-stage={s.stage}
                        >
                            <State state={state} word={word} />
                            <div>
                                <b>{s.title}</b>
                                {s.cards.map((c) => (
                                    <p key={c.id} className="text-sm">
                                        <Link className="underline underline-offset-4" to={`/floor/${c.id}`}>
                                            {c.number} {c.title}
                                        </Link>{' '}
                                        <span className="text-soft">{c.said}</span>
                                    </p>
                                ))}
                                {s.stage === 'placard' && p.may.includes('placard') && (
                                    <Button
                                        className="mt-1"
                                        disabled={off.isPending}
                                        onClick={() => off.mutate(p.deferral.id)}
                                    >
                                        The placard is off
                                    </Button>
                                )}
                            </div>
                        </li>
                    );
                })}
            </ol>
            <Trouble error={off.error} />
        </Section>
    );
}
