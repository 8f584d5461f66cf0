import { useEffect, useRef, useState } from 'react';
import { ReadingField, type ReadingSpec } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

/** How long something takes: a stopwatch, whose time drops into the field; a time from elsewhere can be typed. */
export function TimingStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [from, setFrom] = useState<number | null>(null);
    const [now, setNow] = useState(0);
    const watch = useRef<HTMLButtonElement>(null);
    useEffect(() => {
        if (from === null) {
            return;
        }
        const timer = setInterval(() => setNow(performance.now()), 50);
        return () => clearInterval(timer);
    }, [from]);
    const press = () => {
        if (from === null) {
            setEntry('');
            setNow(performance.now());
            setFrom(performance.now());
        } else {
            setEntry(((performance.now() - from) / 1000).toFixed(1));
            setFrom(null);
        }
    };
    const save = () => send.mutate({ do: 'read', entry, tool: '' });
    const last = step.readings.filter((r) => r.stands).at(-1);
    return (
        <>
            <button
                ref={watch}
                type="button"
                onClick={press}
                aria-label={from === null ? 'Start the watch' : 'Stop the watch'}
                className={`mt-5 flex min-h-28 w-full max-w-md items-center justify-between rounded-xl border-2 px-6 text-[1.3rem] font-semibold ${from === null ? 'border-ink bg-sheet' : 'border-spruce bg-spruce text-on-spruce'}`}
            >
                <span>{from === null ? 'Start the watch' : 'Stop'}</span>
                <span className="font-mono text-[2.4rem]">
                    {from === null ? (entry === '' ? '0.0' : entry) : Math.max(0, (now - from) / 1000).toFixed(1)}
                </span>
            </button>
            <ReadingField
                card={card}
                step={step}
                spec={spec}
                entry={entry}
                onEntry={setEntry}
                tool=""
                onTool={() => undefined}
                onSave={save}
            />
            {last && last.verdict !== 'pass' && (
                <Kept>
                    Kept: <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Find out why, put it right
                    and time it again, or raise a finding.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save the time"
                hint="Enter"
                ready={entry !== '' && from === null}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
