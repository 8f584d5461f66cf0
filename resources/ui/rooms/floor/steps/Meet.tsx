import { useState } from 'react';
import { unitLabel } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { Tick } from './Part';

/** The mark of an earlier step, to be met again. */
export function MeetStep({ card, step, onWrong, onConflict }: StepProps) {
    const within = step.spec.within as number | undefined;
    const unit = card.steps.find((s) => s.spec.id === step.spec.mark)?.spec.unit as string | undefined;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const last = step.result as { met?: number; off?: number; verdict?: string };
    const save = () => entry.trim() !== '' && send.mutate({ do: 'meet', entry });
    return (
        <>
            <p className="mt-5 text-[1.2rem]">
                Marked: <b className={unit ? 'font-mono text-[1.6rem]' : ''}>{step.mark ?? 'nothing'}</b>
                {within !== undefined && unit && (
                    <span className="text-soft">
                        {' '}
                        to be met within {within} {unitLabel(unit)}
                    </span>
                )}
            </p>
            {unit ? (
                <label className="mt-4 flex h-[4.25rem] max-w-xs items-center rounded-xl border-2 border-ink bg-sheet px-4">
                    <span className="sr-only">Read now</span>
                    <input
                        name="entry"
                        autoFocus
                        inputMode="decimal"
                        autoComplete="off"
                        value={entry}
                        onChange={(e) => setEntry(e.target.value)}
                        onKeyDown={(e) => e.key === 'Enter' && save()}
                        className="w-full min-w-0 bg-transparent font-mono text-[2.2rem] font-bold outline-none"
                    />
                    <span className="text-[1.1rem] font-semibold text-soft">{unitLabel(unit)}</span>
                </label>
            ) : (
                <div className="mt-4 max-w-xl">
                    <Tick
                        checked={entry === 'met'}
                        onChange={(on) => setEntry(on ? 'met' : '')}
                        label="It is as it was marked"
                    />
                </div>
            )}
            {last.verdict === 'fail' && (
                <Kept>
                    Kept: <b className="font-mono">{last.met}</b>, off by {last.off}. Set it to the mark and read again,
                    or raise a finding.
                </Kept>
            )}
            <Keys send={send} says="Met" ready={entry.trim() !== ''} onSave={save} onWrong={onWrong} />
        </>
    );
}
