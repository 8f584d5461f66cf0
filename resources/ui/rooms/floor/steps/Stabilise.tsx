import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { Scale } from '../../../parts/Scale';
import { drawn } from '../../../parts/scale';
import { ToolPick, unitLabel, useTool } from '../ReadingField';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';
import { Number1 } from './Number';
import { Ring, useHeld } from './Ring';

type Spec = {
    signal: string;
    unit: string;
    target: number;
    tolerance: number;
    seconds: number;
    by?: 'watch' | 'readings' | 'samples';
    tool_kind?: string;
};

/** A signal that stays within its band for so long: by the watch, by readings as it goes, or from the recording. */
export function StabiliseStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const by = spec.by ?? 'watch';
    const running = step.startedAt !== null;
    const held = useHeld(step);
    const over = running && held >= spec.seconds + 0.5;
    const ready = useDeliberate();
    const limit = { low: spec.target - spec.tolerance, high: spec.target + spec.tolerance };
    const series = (step.result.series ?? []) as { value: number }[];
    const go = () => ready && !send.isPending && (!running || over) && send.mutate({ do: over ? 'done' : 'start' });
    useEnter(go, by === 'watch' && (!running || over));
    const read = () => send.mutate({ do: 'read', entry, tool }, { onSuccess: () => setEntry('') });
    return (
        <>
            <p className="mt-3 text-[1.1rem]">
                {spec.signal} within{' '}
                <b className="font-mono">
                    {spec.tolerance} {unitLabel(spec.unit)}
                </b>{' '}
                of{' '}
                <b className="font-mono">
                    {spec.target} {unitLabel(spec.unit)}
                </b>{' '}
                for {spec.seconds} s
            </p>
            {by === 'watch' && (
                <div className="mt-3">
                    <Ring held={Math.min(held, spec.seconds)} of={spec.seconds} />
                </div>
            )}
            {by === 'readings' && (
                <>
                    <Scale
                        limit={limit}
                        unit={unitLabel(spec.unit)}
                        value={drawn(entry)}
                        others={series.slice(-6).map((r, i) => ({ name: `${i}`, value: r.value }))}
                    />
                    {series.length > 0 && (
                        <p className="text-soft" role="status">
                            {series.length} readings, within the band for {String(step.result.held ?? 0)} s.
                        </p>
                    )}
                    <Number1
                        label={spec.signal}
                        unit={spec.unit}
                        value={entry}
                        onValue={setEntry}
                        onEnter={read}
                        autoFocus
                        tool={spec.tool_kind ? tool : undefined}
                    />
                    {spec.tool_kind && <ToolPick card={card} kind={spec.tool_kind} tool={tool} onTool={setTool} />}
                </>
            )}
            <Trouble error={send.error} />
            <div className="mt-6 flex flex-wrap gap-3">
                {by === 'watch' && (
                    <Button
                        kind="main"
                        big
                        hint="Enter"
                        disabled={!ready || send.isPending || (running && !over)}
                        onClick={go}
                    >
                        {over ? 'It held' : running ? 'Holding…' : 'Start the watch'}
                    </Button>
                )}
                {by === 'watch' && running && (
                    <Button big disabled={send.isPending} onClick={() => send.mutate({ do: 'start' })}>
                        It moved; begin again
                    </Button>
                )}
                {by === 'readings' && (
                    <Button kind="main" big hint="Enter" disabled={entry === '' || send.isPending} onClick={read}>
                        Save the reading
                    </Button>
                )}
                <FromRecording send={send} main={by === 'samples'} />
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
        </>
    );
}

/** The answer is found in the recording that was brought in for this attempt. */
export function FromRecording({
    send,
    main,
}: {
    send: { isPending: boolean; mutate: (body: { do: 'samples' }) => void };
    main?: boolean;
}) {
    return (
        <Button
            big
            kind={main ? 'main' : undefined}
            disabled={send.isPending}
            onClick={() => send.mutate({ do: 'samples' })}
        >
            From the recording
        </Button>
    );
}
