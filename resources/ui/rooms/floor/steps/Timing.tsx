import { useRef, useState } from 'react';
import { ReadingField, type ReadingSpec } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { useStopWatch } from './useStopWatch';

const face =
    'mt-5 flex min-h-28 w-full max-w-md items-center justify-between rounded-xl border-2 px-6 text-xl font-semibold';

/** How long something takes: a stopwatch, whose time drops into the field; a time from elsewhere can be typed. */
export function TimingStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const watch = useRef<HTMLButtonElement>(null);
    const { running, shows, press } = useStopWatch({ onStart: () => setEntry(''), onStop: setEntry });
    const save = () => send.mutate({ do: 'read', entry, tool: '' });
    const last = step.readings.filter((r) => r.stands).at(-1);
    return (
        <>
            <button
                ref={watch}
                type="button"
                onClick={press}
                aria-label={running ? 'Stop the watch' : 'Start the watch'}
                className={`${face} ${running ? 'border-spruce bg-spruce text-on-spruce' : 'border-ink bg-sheet'}`}
            >
                <span>{running ? 'Stop' : 'Start the watch'}</span>
                <span className="font-mono text-[2.4rem]">{shows ?? (entry === '' ? '0.0' : entry)}</span>
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
                ready={entry !== '' && !running}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
