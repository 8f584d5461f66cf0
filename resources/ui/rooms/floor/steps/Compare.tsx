import { useState } from 'react';
import { ToolPick, unitLabel, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

type Spec = { unit: string; within: number; shown: { title: string }; real: { title: string; tool_kind?: string } };

/** What is shown, beside the real thing: two readings that must agree. */
export function CompareStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [values, setValues] = useState({ shown: '', real: '' });
    const [tool, setTool] = useTool(card, spec.real.tool_kind ?? '');
    const save = () => send.mutate({ do: 'compare', entries: values, tool });
    const last = step.readings.filter((r) => r.stands);
    const unit = unitLabel(spec.unit);
    return (
        <>
            <div className="mt-5 grid max-w-2xl grid-cols-2 gap-4">
                {(['shown', 'real'] as const).map((which, i) => (
                    <label
                        key={which}
                        className={`rounded-xl border-2 bg-sheet px-4 py-2 ${which === 'shown' ? 'border-dashed border-soft' : 'border-ink'}`}
                    >
                        <span className="block text-soft">
                            {which === 'shown' ? 'Shown' : 'Real'}: {spec[which].title}
                        </span>
                        <span className="flex items-baseline gap-2">
                            <input
                                name={which}
                                inputMode="decimal"
                                autoComplete="off"
                                autoFocus={i === 0}
                                value={values[which]}
                                onChange={(e) => setValues((v) => ({ ...v, [which]: e.target.value }))}
                                onKeyDown={(e) => {
                                    if (e.key === 'Enter') {
                                        e.preventDefault();
                                        const other =
                                            e.currentTarget.form?.elements.namedItem('real') ??
                                            document.querySelector<HTMLInputElement>('input[name=real]');
                                        if (which === 'shown' && other instanceof HTMLInputElement) {
                                            other.focus();
                                        } else if (values.shown !== '' && values.real !== '') {
                                            save();
                                        }
                                    }
                                }}
                                className="w-full min-w-0 bg-transparent font-mono text-[2.2rem] font-bold outline-none"
                            />
                            <span className="text-[1.1rem] font-semibold text-soft">{unit}</span>
                        </span>
                    </label>
                ))}
            </div>
            <p className="mt-2 text-[1.05rem]">
                They agree within{' '}
                <b className="font-mono">
                    {spec.within} {unit}
                </b>
                , or one of them is wrong.
            </p>
            {spec.real.tool_kind && <ToolPick card={card} kind={spec.real.tool_kind} tool={tool} onTool={setTool} />}
            {last.some((r) => r.verdict === 'fail') && (
                <Kept>
                    Kept: {last.map((r) => `${r.value} ${r.unit}`).join(' and ')}; they differ by more than{' '}
                    {spec.within} {unit}. Find out which one is wrong, then read both again, or raise a finding.
                </Kept>
            )}
            <Keys
                send={send}
                says="Save both"
                hint="Enter"
                ready={values.shown !== '' && values.real !== ''}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
