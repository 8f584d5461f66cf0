import { useState } from 'react';
import { ToolPick, unitLabel, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { Number1 } from './Number';
import { Ring, useHeld } from './Ring';

type Spec = {
    point: string;
    unit: string;
    gas: boolean;
    minutes: number;
    max_per_hour: number;
    tool_kind?: string;
    from?: string;
};

/** A pressure at the start and at the end, each with its temperature: a gas that cools is no leak. */
export function LeakStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [temp, setTemp] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const start = step.result.start as { pressure: number; temp: number | null } | undefined;
    // Where an earlier step read the start, only the end is left.
    const before = spec.from !== undefined;
    const running = before || step.startedAt !== null;
    const seconds = Math.ceil(spec.minutes * 60);
    const held = useHeld(step);
    const over = before || (running && held >= seconds + 0.5);
    const unit = unitLabel(spec.unit);
    const save = () =>
        send.mutate(
            { do: running ? 'read' : 'start', entry, entries: { temp }, tool },
            {
                onSuccess: () => {
                    setEntry('');
                    setTemp('');
                },
            },
        );
    const waits = running && !over;
    return (
        <>
            <p className="mt-3 text-[1.1rem]">
                It may lose at most{' '}
                <b className="font-mono">
                    {spec.max_per_hour} {unit}
                </b>{' '}
                an hour, over {spec.minutes} min at least.
            </p>
            {running && !before && (
                <div className="mt-3 flex items-center gap-8">
                    <Ring held={Math.min(held, seconds)} of={seconds} />
                    <p>
                        Start:{' '}
                        <b className="font-mono">
                            {start?.pressure} {unit}
                        </b>
                        {start?.temp != null && <> at {start.temp} °C</>}
                    </p>
                </div>
            )}
            {!waits && (
                <div className="flex flex-wrap gap-x-6">
                    <Number1
                        label={`${spec.point}, ${running ? 'end' : 'start'}`}
                        unit={spec.unit}
                        value={entry}
                        onValue={setEntry}
                        autoFocus
                        tool={spec.tool_kind ? tool : undefined}
                    />
                    <Number1
                        label={spec.gas ? 'Temperature' : 'Temperature (if noted)'}
                        name="temp"
                        unit="C"
                        value={temp}
                        onValue={setTemp}
                        onEnter={save}
                    />
                </div>
            )}
            {!waits && spec.tool_kind && <ToolPick card={card} kind={spec.tool_kind} tool={tool} onTool={setTool} />}
            {step.result.verdict === 'fail' && !running && (
                <Kept>Kept: {String(step.result.said)}, more than it may. Mend it, and read from the start again.</Kept>
            )}
            <Keys
                send={send}
                says={running ? 'Save the end' : 'Save the start'}
                ready={!waits && entry !== '' && (!spec.gas || temp !== '')}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
