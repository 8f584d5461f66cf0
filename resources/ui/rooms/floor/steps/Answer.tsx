import { useState } from 'react';
import { Field } from '../../../parts/Field';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

type Choice = { id: string; title: string; verdict: 'pass' | 'fail'; unusual?: boolean };

/** An answer that is no number: one big key each, in the order of the grades where they are grades. */
export function AnswerStep({ card, step, onWrong, onConflict }: StepProps) {
    const { choices, graded } = step.spec as { choices: Choice[]; graded?: boolean };
    const send = useStep({ card, step, onConflict });
    const [chosen, setChosen] = useState<string | null>(null);
    const [note, setNote] = useState('');
    const is = choices.find((c) => c.id === chosen);
    const last = step.result as { said?: string; verdict?: string };
    const save = () => is && send.mutate({ do: 'answer', entry: is.id, ...(note.trim() === '' ? {} : { note }) });
    return (
        <>
            <div
                role="radiogroup"
                aria-label={step.title}
                className={`mt-5 ${graded ? 'flex max-w-3xl gap-0' : 'grid max-w-2xl grid-cols-2 gap-3'}`}
            >
                {choices.map((c) => (
                    // biome-ignore lint/a11y/useSemanticElements: a key for a gloved thumb, not a small dot
                    <button
                        key={c.id}
                        type="button"
                        role="radio"
                        aria-checked={chosen === c.id}
                        onClick={() => setChosen(c.id)}
                        className={`min-h-16 flex-1 border-2 px-4 text-[1.15rem] font-semibold ${graded ? '-ml-0.5 first:ml-0 first:rounded-l-xl last:rounded-r-xl' : 'rounded-xl'} ${chosen === c.id ? 'relative border-ink bg-ink text-paper' : 'border-soft bg-sheet'}`}
                    >
                        {c.title}
                    </button>
                ))}
            </div>
            {is?.unusual && (
                <Field
                    label="Allowed, and unusual: what did you see?"
                    name="note"
                    className="mt-4 max-w-2xl"
                    value={note}
                    onChange={(e) => setNote(e.target.value)}
                />
            )}
            {last.verdict === 'fail' && (
                <Kept>
                    Kept: <b>{last.said}</b>. Find out why, put it right and answer again, or raise a finding.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save the answer"
                ready={is !== undefined && !(is.unusual && note.trim() === '')}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
