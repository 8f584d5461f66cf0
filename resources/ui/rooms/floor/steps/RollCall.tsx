import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { State } from '../../../parts/State';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useStep } from '../useStep';

type Call = { name: string; at: string; said: string; stands: boolean };

/** A roll-call: every place is called clear by whoever stands there; a call stands for a while. */
export function RollCallStep({ card, step, may, onWrong, onConflict }: StepProps) {
    const places = step.spec.places as string[];
    const calls = ((step.result as { calls?: Record<string, Call> }).calls ?? {}) as Record<string, Call>;
    const stands = Number(step.spec.stands ?? 300);
    const send = useStep({ card, step, onConflict });
    const [names, setNames] = useState<Record<string, string>>({});
    const ready = useDeliberate();
    const called = places.filter((p) => calls[p]?.stands);
    return (
        <>
            <p className="mt-2 text-soft">
                A call stands for {stands >= 120 ? `${Math.round(stands / 60)} minutes` : `${stands} seconds`}; then it
                is called again.
            </p>
            <ul className="mt-3 grid max-w-3xl gap-2">
                {places.map((p) => {
                    const call = calls[p];
                    return (
                        <li
                            key={p}
                            data-place={p}
                            className="grid min-h-16 grid-cols-[8rem_minmax(0,1fr)_auto] items-center gap-3 rounded-lg border-2 border-rule bg-sheet px-4 py-1"
                        >
                            <b>{p}</b>
                            {call ? (
                                <span>
                                    <State
                                        state={call.stands ? 'clear' : 'watch'}
                                        word={call.stands ? 'clear' : 'call again'}
                                    />{' '}
                                    {call.name}, <span className="text-soft">{call.said}</span>
                                </span>
                            ) : (
                                <input
                                    aria-label={`Who stands at ${p}`}
                                    placeholder="name or stamp"
                                    list="people-here"
                                    disabled={!may}
                                    value={names[p] ?? ''}
                                    onChange={(e) => setNames((n) => ({ ...n, [p]: e.target.value }))}
                                    onKeyDown={(e) =>
                                        e.key === 'Enter' && send.mutate({ do: 'call', entry: p, note: names[p] ?? '' })
                                    }
                                    className="h-12 w-full rounded-lg border-2 border-soft bg-paper px-3"
                                />
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
            <Trouble error={send.error} />
            {step.state !== 'done' && may && (
                <div className="mt-6 flex gap-3">
                    <Button
                        kind="main"
                        big
                        disabled={!ready || send.isPending || called.length < places.length}
                        onClick={() => send.mutate({ do: 'done' })}
                    >
                        {called.length < places.length ? `${called.length} of ${places.length} clear` : 'All clear'}
                    </Button>
                    <Button big onClick={onWrong}>
                        Something is wrong
                    </Button>
                </div>
            )}
        </>
    );
}
