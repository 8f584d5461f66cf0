import { useState } from 'react';
import { useMe } from '../../../api/hooks';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { State } from '../../../parts/State';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useStep } from '../useStep';
import { type Brief, Briefing, StandHere } from './Briefing';
import { Keys } from './Keys';

type Call = { name: string; at: string; said: string; stands: boolean; person: number; own?: boolean };

/** A roll-call: every place is called clear by whoever stands there; a call stands for a while. */
export function RollCallStep({ card, step, may, onWrong, onConflict }: StepProps) {
    const places = step.spec.places as string[];
    const calls = ((step.result as { calls?: Record<string, Call> }).calls ?? {}) as Record<string, Call>;
    const brief = (step.result as { brief?: Brief }).brief;
    const { lead, signs } = step.spec as { lead?: string; signs?: string };
    const me = useMe().data;
    const stands = Number(step.spec.stands ?? 300);
    const send = useStep({ card, step, onConflict });
    const [names, setNames] = useState<Record<string, string>>({});
    const ready = useDeliberate();
    const called = places.filter((p) => calls[p]?.stands);
    const speaks = card.id !== 0 && card.may.includes('raise');
    const briefed = signs === undefined || (brief !== undefined && brief.person === calls[signs]?.person);
    const isMe = (call: Call | undefined): boolean => call !== undefined && call.person === me?.id;
    const mine = places.find((p) => isMe(calls[p]) && calls[p]?.stands);
    return (
        <>
            <p className="mt-2 text-soft">
                A call stands for {stands >= 120 ? `${Math.round(stands / 60)} minutes` : `${stands} seconds`}; then it
                is called again.
            </p>
            <Briefing
                card={card}
                step={step}
                signed={briefed && brief ? `${brief.name} (${brief.stamp})` : null}
                mine={signs !== undefined && mine === signs}
                at={signs === undefined ? '' : (calls[signs]?.name ?? '')}
            />
            <ul className="mt-3 grid max-w-3xl gap-2">
                {places.map((p) => {
                    const call = calls[p];
                    return (
                        <li
                            key={p}
                            data-place={p}
                            className="grid min-h-16 grid-cols-[8rem_minmax(0,1fr)_auto] items-center gap-3 rounded-lg border-2 border-rule bg-sheet px-4 py-1"
                        >
                            <b>
                                {p}
                                {p === lead && <span className="block text-sm font-normal text-soft">leads</span>}
                            </b>
                            {call ? (
                                <span>
                                    <State
                                        state={call.stands ? 'clear' : 'watch'}
                                        word={call.stands ? 'clear' : 'call again'}
                                    />{' '}
                                    {call.name},{' '}
                                    <span className="text-soft">
                                        {call.said}
                                        {call.own && ', by themselves'}
                                    </span>
                                </span>
                            ) : !may ? (
                                <span className="text-soft">nobody yet</span>
                            ) : (
                                <input
                                    aria-label={`Who stands at ${p}`}
                                    placeholder="name or stamp"
                                    list="people-here"
                                    value={names[p] ?? ''}
                                    onChange={(e) => setNames((n) => ({ ...n, [p]: e.target.value }))}
                                    onKeyDown={(e) =>
                                        e.key === 'Enter' && send.mutate({ do: 'call', entry: p, note: names[p] ?? '' })
                                    }
                                    className="h-12 w-full rounded-lg border-2 border-soft bg-paper px-3"
                                />
                            )}
                            <span className="flex gap-2">
                                {speaks && (!call?.stands || isMe(call)) && (
                                    <StandHere card={card} step={step} place={p} again={isMe(call)} />
                                )}
                                {may && (
                                    <Button
                                        className="min-h-12"
                                        disabled={send.isPending || (!call && !names[p])}
                                        onClick={() =>
                                            send.mutate({ do: 'call', entry: p, note: names[p] ?? call?.name ?? '' })
                                        }
                                    >
                                        {call ? 'Call again' : 'Clear'}
                                    </Button>
                                )}
                            </span>
                        </li>
                    );
                })}
            </ul>
            <datalist id="people-here">
                {card.crew
                    .filter((p) => !Object.values(calls).some((c) => c.name === p))
                    .map((p) => (
                        <option key={p} value={p} />
                    ))}
            </datalist>
            {step.state !== 'done' && may ? (
                <Keys
                    send={send}
                    says={
                        called.length < places.length
                            ? `${called.length} of ${places.length} clear`
                            : briefed
                              ? 'All clear'
                              : 'The briefing is not signed'
                    }
                    ready={ready && called.length === places.length && briefed}
                    onSave={() => send.mutate({ do: 'done' })}
                    onWrong={onWrong}
                />
            ) : (
                <Trouble error={send.error} />
            )}
        </>
    );
}
