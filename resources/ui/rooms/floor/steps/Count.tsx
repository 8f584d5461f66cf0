import { useEffect, useState } from 'react';
import { Button } from '../../../parts/Button';
import { within } from '../../../parts/scale';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

/** Strokes or turns by hand: one big key to count with, or the space bar; the number can be typed, too. */
export function CountStep({ card, step, onWrong, onConflict }: StepProps) {
    const { counts, min, max, fraction } = step.spec as {
        counts: string;
        min?: number;
        max?: number;
        fraction?: number;
    };
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('0');
    const count = () => setEntry((v) => String((Number(v) || 0) + 1));
    useEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            if (
                e.key === ' ' &&
                !e.repeat &&
                !(
                    e.target instanceof HTMLElement &&
                    e.target.closest('input, textarea, select, button, a, [role=dialog]')
                )
            ) {
                e.preventDefault();
                setEntry((v) => String((Number(v) || 0) + 1));
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, []);
    const save = () => send.mutate({ do: 'count', entry });
    const last = step.result as { counted?: number; verdict?: string };
    const asked = within({ low: min ?? null, high: max ?? null });
    return (
        <>
            <div className="mt-5 flex flex-wrap items-stretch gap-5">
                <button
                    type="button"
                    onClick={count}
                    className="min-h-32 min-w-56 rounded-xl border-2 border-ink bg-sheet px-8 text-[1.3rem] font-semibold active:bg-shade"
                >
                    One more <kbd className="ml-1 font-mono text-sm font-normal text-soft">Space</kbd>
                </button>
                {fraction !== undefined && (
                    <button
                        type="button"
                        onClick={() => setEntry((v) => String((Number(v) || 0) + fraction))}
                        className="min-h-32 min-w-32 rounded-xl border-2 border-ink bg-sheet px-5 text-[1.2rem] font-semibold active:bg-shade"
                    >
                        1/{Math.round(1 / fraction)} more
                    </button>
                )}
                <label className="flex w-56 flex-col justify-center rounded-xl border-2 border-ink bg-sheet px-4">
                    <span className="text-soft">{counts}</span>
                    <input
                        name="entry"
                        inputMode="decimal"
                        value={entry}
                        onChange={(e) => setEntry(e.target.value)}
                        onKeyDown={(e) => e.key === 'Enter' && save()}
                        className="w-full bg-transparent font-mono text-[2.6rem] leading-tight font-bold outline-none"
                    />
                </label>
                {asked !== '' && (
                    <p className="self-center text-[1.1rem]">
                        Expected: <b className="font-mono">{asked}</b> {counts}
                    </p>
                )}
            </div>
            {last.verdict === 'fail' && (
                <Kept>
                    Kept: <b className="font-mono">{last.counted}</b> {counts}, outside {asked}. Find out why, put it
                    right and count again, or raise a finding.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save the count"
                ready={entry !== '' && entry !== '0'}
                onSave={save}
                onWrong={onWrong}
            >
                <Button big onClick={() => setEntry('0')}>
                    Start again at 0
                </Button>
            </Keys>
        </>
    );
}
