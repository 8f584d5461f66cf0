import { useState } from 'react';
import { unitLabel } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';

/** What is noted before anything moves: a number with its unit, or a few words. */
export function MarkStep({ card, step, onConflict }: StepProps) {
    const { what, unit } = step.spec as { what: string; unit?: string };
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const save = () => entry.trim() !== '' && send.mutate({ do: 'mark', entry });
    return (
        <>
            <label className="mt-5 block max-w-xl">
                <span className="mb-1 block text-[1.05rem]">{what}</span>
                <span className="flex h-[4.25rem] items-center rounded-xl border-2 border-ink bg-sheet px-4">
                    <input
                        name="entry"
                        autoFocus
                        inputMode={unit ? 'decimal' : 'text'}
                        autoComplete="off"
                        value={entry}
                        onChange={(e) => setEntry(e.target.value)}
                        onKeyDown={(e) => e.key === 'Enter' && save()}
                        className={`w-full min-w-0 bg-transparent font-bold outline-none ${unit ? 'font-mono text-[2.2rem]' : 'text-[1.3rem]'}`}
                    />
                    {unit && <span className="text-[1.1rem] font-semibold text-soft">{unitLabel(unit)}</span>}
                </span>
            </label>
            <p className="mt-2 text-soft">A later step shows it again and wants it met.</p>
            <Keys send={send} says="Marked" hint="Enter" ready={entry.trim() !== ''} onSave={save} />
        </>
    );
}
