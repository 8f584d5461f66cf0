import { useState } from 'react';
import { PickKey } from '../../../parts/PickKey';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { YesNo } from './YesNo';

type Spec = {
    channels: string[];
    screens?: { id: string; title: string }[];
    codes?: { code: string; says: string }[];
};

/** A built-in test: what its screens show, then the result of each channel, passed or its code. */
export function SelfTestStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [entries, setEntries] = useState<Record<string, string>>({});
    const set = (key: string, v: string) => setEntries((all) => ({ ...all, [key]: v }));
    const full = [
        ...(spec.screens ?? []).map((s) => `screen.${s.id}`),
        ...spec.channels.map((c) => `channel.${c}`),
    ].every((k) => (entries[k] ?? '').trim() !== '');
    const save = () => send.mutate({ do: 'result', entries });
    return (
        <>
            {(spec.screens ?? []).length > 0 && (
                <div className="mt-3 max-w-3xl">
                    {(spec.screens ?? []).map((s, i) => (
                        <YesNo
                            key={s.id}
                            title={`${i + 1}. ${s.title}`}
                            value={entries[`screen.${s.id}`]}
                            onValue={(v) => set(`screen.${s.id}`, v)}
                            yes="Shown"
                            no="Not shown"
                        />
                    ))}
                </div>
            )}
            <div className="mt-4 flex flex-wrap gap-6">
                {spec.channels.map((c) => {
                    const value = entries[`channel.${c}`] ?? '';
                    return (
                        <fieldset key={c} className="rounded-xl border-2 border-ink bg-sheet px-4 pt-1 pb-3">
                            <legend className="px-1 font-semibold">Channel {c}</legend>
                            <div className="flex items-center gap-2">
                                <PickKey
                                    picked={value === 'pass'}
                                    onClick={() => set(`channel.${c}`, 'pass')}
                                    className="px-4"
                                >
                                    Passed
                                </PickKey>
                                <label className="font-semibold">
                                    or code{' '}
                                    <input
                                        name={`code-${c}`}
                                        list={`codes-${step.no}`}
                                        autoComplete="off"
                                        value={value === 'pass' ? '' : value}
                                        onChange={(e) => set(`channel.${c}`, e.target.value)}
                                        className="h-14 w-28 rounded-xl border-2 border-soft bg-sheet px-3 font-mono text-[1.2rem]"
                                    />
                                </label>
                            </div>
                        </fieldset>
                    );
                })}
                <datalist id={`codes-${step.no}`}>
                    {(spec.codes ?? []).map((c) => (
                        <option key={c.code} value={c.code}>
                            {c.says}
                        </option>
                    ))}
                </datalist>
            </div>
            {step.result.verdict === 'fail' && <Kept>Kept: {String(step.result.said)}.</Kept>}
            <Keys send={send} says="Save the results" ready={full} onSave={save} onWrong={onWrong} />
        </>
    );
}
