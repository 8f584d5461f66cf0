import { useState } from 'react';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { YesNo } from './YesNo';

type Spec = { of: string; sources: { id: string; title: string; proves?: boolean }[] };

/** A position that several things tell of: which of them prove it stands beside each. */
export function IndicationStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [seen, setSeen] = useState<Record<string, string>>({});
    const save = () => send.mutate({ do: 'seen', entries: seen });
    return (
        <>
            <p className="mt-3 text-[1.1rem] font-semibold">{spec.of}: does each say so?</p>
            <div className="mt-2 max-w-2xl">
                {spec.sources.map((s) => (
                    <YesNo
                        key={s.id}
                        title={s.title}
                        note={s.proves ? 'proves it' : 'shows it; proves nothing by itself'}
                        value={seen[s.id]}
                        onValue={(v) => setSeen((all) => ({ ...all, [s.id]: v }))}
                    />
                ))}
            </div>
            {step.result.verdict === 'fail' && <Kept>Kept: {String(step.result.said)}.</Kept>}
            <Keys
                send={send}
                says="Save what they say"
                ready={spec.sources.every((s) => seen[s.id] !== undefined)}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
