import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { ReadingField, type ReadingSpec, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';

/** One reading against its limit. */
export function ReadStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const last = step.readings.filter((r) => r.stands).at(-1);
    const [note, setNote] = useState('');
    const [unusual, setUnusual] = useState(false);
    const save = () => send.mutate({ do: 'read', entry, tool, ...(unusual && note.trim() !== '' ? { note } : {}) });
    if (spec.pending) {
        return (
            <p className="mt-5 text-soft" data-testid="pending">
                Its limit comes from what is read before: {spec.pending.join(', ')}.
            </p>
        );
    }
    return (
        <>
            {spec.from && (
                <p className="mt-3 text-soft">
                    Its limit comes from what was read before: {Object.values(spec.from).join(' to ')}.
                </p>
            )}
            <ReadingField
                card={card}
                step={step}
                spec={spec}
                entry={entry}
                onEntry={setEntry}
                tool={tool}
                onTool={setTool}
                onSave={save}
                onUnusual={setUnusual}
            />
            {unusual && (
                <label className="mt-3 block max-w-2xl">
                    <span className="mb-1 block">Legal, and outside what is advised: what do you think of it?</span>
                    <input
                        name="note"
                        value={note}
                        onChange={(e) => setNote(e.target.value)}
                        className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                    />
                </label>
            )}
            {last && last.verdict !== 'pass' && (
                <p className="mt-3 rounded-lg border-2 border-rust bg-rust-wash p-3" role="status">
                    Kept: <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Find out why, put it right
                    and read again, or raise a finding.
                </p>
            )}
            <Trouble error={send.error} />
            <div className="mt-6 flex gap-3">
                <Button kind="main" big hint="Enter" disabled={entry === '' || send.isPending} onClick={save}>
                    Save the reading
                </Button>
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
        </>
    );
}
