import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { Glyph } from '../../../parts/State';
import { within } from '../../../parts/scale';
import { type ReadingSpec, ToolPick, unitLabel, useTool } from '../ReadingField';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';

type PointView = Schemas['PointView'];
type Spec = {
    ask: 'tick' | 'count' | 'reading';
    counts?: string;
    min?: number;
    max?: number;
    product?: string;
    reading?: ReadingSpec;
};

const left = (p: PointView) => p.state === 'open' || p.state === 'failed';

/** A round of like points: the next one large, all of them below, each with who saw it. */
export function CircuitStep(props: StepProps) {
    const { card, step, onWrongAt, onConflict } = props;
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [chosen, setChosen] = useState<string | null>(null);
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.reading?.tool_kind ?? '');
    const ready = useDeliberate();
    const open = step.points.filter(left);
    const point = step.points.find((p) => p.id === chosen && left(p)) ?? open[0];
    const choose = (id: string) => {
        setChosen(id);
        setEntry('');
    };
    const save = () => {
        if (point && !send.isPending && (spec.ask === 'tick' || entry !== '')) {
            send.mutate(
                { do: 'point', entries: { [point.id]: spec.ask === 'tick' ? 'seen' : entry }, tool },
                { onSuccess: () => choose('') },
            );
        }
    };
    const done = () => ready && !send.isPending && send.mutate({ do: 'done' });
    useEnter(point ? save : done, spec.ask === 'tick' || !point);
    const asked = spec.reading
        ? `${spec.reading.point}, ${unitLabel(spec.reading.limit.unit)}`
        : [spec.counts, within({ low: spec.min ?? null, high: spec.max ?? null })].filter(Boolean).join(', ');
    return (
        <>
            <p className="mt-3 text-[1.1rem]" data-testid="round">
                <b className="font-mono">
                    {step.points.length - open.length} of {step.points.length}
                </b>{' '}
                seen{spec.product && `; with ${spec.product}`}
            </p>
            {point && (
                <div className="mt-2 rounded-xl border-2 border-ink bg-sheet p-4">
                    <p className="text-[1.3rem] leading-tight font-semibold">{point.place}</p>
                    {point.state === 'failed' && (
                        <p className="mt-1 text-rust" role="status">
                            Kept: {point.entry}, outside. Put it right and enter it again, or raise what you found.
                        </p>
                    )}
                    <div className="mt-3 flex flex-wrap items-center gap-3">
                        {spec.ask !== 'tick' && (
                            <label className="flex h-14 items-center gap-2 rounded-lg border-2 border-ink px-3">
                                <input
                                    key={point.id}
                                    name="entry"
                                    autoFocus
                                    inputMode="decimal"
                                    autoComplete="off"
                                    value={entry}
                                    onChange={(e) => setEntry(e.target.value)}
                                    onKeyDown={(e) => e.key === 'Enter' && save()}
                                    aria-label={`${asked} at ${point.place}`}
                                    className="w-24 bg-transparent font-mono text-[1.6rem] font-bold outline-none"
                                />
                                <span className="text-soft">{asked}</span>
                            </label>
                        )}
                        <Button kind="main" big hint="Enter" disabled={send.isPending} onClick={save}>
                            {spec.ask === 'tick' ? 'Seen' : 'Save'}
                        </Button>
                        <Button big onClick={() => onWrongAt?.({ id: point.id, place: point.place })}>
                            Something is wrong here
                        </Button>
                    </div>
                    {spec.reading?.tool_kind && (
                        <ToolPick
                            card={card}
                            kind={spec.reading.tool_kind}
                            limit={spec.reading.limit}
                            tool={tool}
                            onTool={setTool}
                        />
                    )}
                </div>
            )}
            <Trouble error={send.error} />
            <ul className="mt-4 grid grid-cols-3 gap-1.5 max-[1150px]:grid-cols-2" aria-label="All points">
                {step.points.map((p) => (
                    <li key={p.id}>
                        <button
                            type="button"
                            data-point={p.id}
                            data-state={p.state}
                            disabled={!left(p)}
                            onClick={() => choose(p.id)}
                            className={`grid min-h-12 w-full grid-cols-[1.3rem_1fr] items-center rounded-lg border px-2 text-left leading-tight ${p.id === point?.id ? 'border-ink bg-sheet font-semibold' : 'border-rule'} ${left(p) ? '' : 'text-soft'}`}
                        >
                            <PointMark point={p} />
                            <span>
                                {p.place}
                                {p.entry !== '' && p.entry !== 'seen' && <b className="ml-1 font-mono">{p.entry}</b>}
                                {p.by && <span className="block text-xs">{p.by}</span>}
                            </span>
                        </button>
                    </li>
                ))}
            </ul>
            {!point && (
                <Button
                    kind="main"
                    big
                    hint="Enter"
                    className="mt-6"
                    disabled={!ready || send.isPending}
                    onClick={done}
                >
                    All {step.points.length} seen
                </Button>
            )}
        </>
    );
}

function PointMark({ point }: { point: PointView }) {
    return (
        <span>
            {point.state === 'seen' && <span className="block h-6 w-1.5 rounded-full bg-spruce" aria-hidden="true" />}
            {(point.state === 'found' || point.state === 'failed') && <Glyph state="stop" size={13} />}
            <span className="sr-only">{point.state}</span>
        </span>
    );
}

/** The points of a round that is done, with who saw each. */
export function PointList({ points }: { points: PointView[] }) {
    return (
        <ul className="mt-3 columns-2 gap-8 text-sm max-[1150px]:columns-1">
            {points.map((p) => (
                <li key={p.id} className="break-inside-avoid border-t border-rule/60 py-1">
                    <PointMark point={p} /> {p.place}{' '}
                    {p.entry !== '' && p.entry !== 'seen' && <b className="font-mono">{p.entry}</b>}{' '}
                    <span className="text-soft">
                        {p.by}, {p.at}
                    </span>
                </li>
            ))}
        </ul>
    );
}
