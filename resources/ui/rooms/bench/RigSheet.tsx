import { type FormEvent, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Arc } from '../../parts/Arc';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { ToolPick, unitLabel, usePreview, useTool, verdictColour } from '../floor/ReadingField';
import { type StepProps, useStep } from '../floor/useStep';

type Point = { id: string; title: string; unit: string; min: number; max: number };
type Spec = { tool_kind: string; points: Point[]; adjusters: { id: string; shape?: string }[] };

/** A rigging sheet: read, see what to turn and what it should then read, turn, read again. */
export function RigSheet({ card, step, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const run = step.runs.find((r) => !r.left);
    const kind = run ? 'as_left' : 'as_found';
    const [tool, setTool] = useTool(card, spec.tool_kind);
    const [entries, setEntries] = useState<Record<string, string>>({});
    const [seen, setSeen] = useState(run?.no);
    if (seen !== run?.no) {
        setSeen(run?.no);
        setEntries({});
    }
    const submit = (e?: FormEvent) => {
        e?.preventDefault();
        if (!send.isPending) {
            send.mutate({ do: kind, entries, tool });
        }
    };
    // The server's own verdict on the last reading of a point.
    const outside = (id: string): boolean => step.readings.findLast((r) => r.point === id)?.verdict !== 'pass';
    const number = (map: Record<string, number>, id: string): number | undefined => map[id];
    return (
        <div className="mt-3">
            {run && (
                <p className="text-[1.2rem] leading-snug font-semibold" data-testid="rig-sentence">
                    {run.sentence} {run.no > 1 && `(run ${run.no})`}
                </p>
            )}
            <div className="mt-3 grid grid-cols-3 gap-3">
                {spec.points.map((p) => {
                    const found = run ? number(run.asFound, p.id) : undefined;
                    const next = run ? number(run.predicted, p.id) : undefined;
                    return (
                        <Arc
                            key={p.id}
                            title={p.title}
                            unit={unitLabel(p.unit)}
                            limit={{ low: p.min, high: p.max }}
                            needles={[
                                ...(found === undefined
                                    ? []
                                    : [
                                          {
                                              name: 'found',
                                              value: found,
                                              look: outside(p.id) ? ('found' as const) : ('good' as const),
                                          },
                                      ]),
                                ...(next === undefined || next === found
                                    ? []
                                    : [{ name: 'after the turns', value: next, look: 'predicted' as const }]),
                            ]}
                        />
                    );
                })}
            </div>
            {run && run.moves.length > 0 && (
                <div className="mt-5 rounded-xl border border-rule bg-sheet p-4" data-testid="moves">
                    <h2 className="font-semibold">Turn, in this order</h2>
                    <ol className="mt-1 divide-y divide-rule">
                        {run.moves.map((m) => (
                            <li key={m.adjuster} className="grid grid-cols-[2.75rem_1fr_auto] items-center gap-3 py-2">
                                <TurnSign direction={m.direction} />
                                <span>
                                    <b>{m.title}</b>
                                    <span className="block text-soft">{m.said}</span>
                                </span>
                                <b className="font-mono text-[1.4rem]">{m.amount}</b>
                            </li>
                        ))}
                    </ol>
                    <p className="mt-2 text-sm text-soft">
                        To be read again, because these touch them: {run.recheck.join(', ')}.
                    </p>
                </div>
            )}
            <form onSubmit={submit} className="mt-5">
                <h2 className="font-semibold">
                    {run ? 'As left: read every point again' : 'As found: read every point before anything is turned'}
                </h2>
                <div className="mt-2 space-y-2">
                    {spec.points.map((p, i) => (
                        <PointField
                            key={p.id}
                            card={card}
                            step={step}
                            point={p}
                            tool={tool}
                            first={i === 0}
                            entry={entries[p.id] ?? ''}
                            onEntry={(v) => setEntries((e) => ({ ...e, [p.id]: v }))}
                        />
                    ))}
                </div>
                <ToolPick card={card} kind={spec.tool_kind} tool={tool} onTool={setTool} />
                <Trouble error={send.error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    hint="Enter"
                    className="mt-5"
                    disabled={send.isPending || spec.points.some((p) => (entries[p.id] ?? '') === '')}
                >
                    {run ? 'Save the as-left readings' : 'Save the as-found readings'}
                </Button>
            </form>
        </div>
    );
}

type FieldProps = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    point: Point;
    tool: string;
    first: boolean;
    entry: string;
    onEntry: (v: string) => void;
};

function PointField({ card, step, point, tool, first, entry, onEntry }: FieldProps) {
    const preview = usePreview(card, step, entry, tool, point.id);
    return (
        <label className="grid grid-cols-[minmax(0,1fr)_10rem_minmax(0,1fr)] items-center gap-4">
            <span>
                {point.title}{' '}
                <span className="whitespace-nowrap text-sm text-soft">
                    {point.min} to {point.max} {unitLabel(point.unit)}
                </span>
            </span>
            <span className="flex h-12 items-center rounded-lg border-2 border-ink bg-sheet px-3">
                <input
                    name={point.id}
                    inputMode="decimal"
                    autoComplete="off"
                    autoFocus={first}
                    value={entry}
                    onChange={(e) => onEntry(e.target.value)}
                    className="w-full min-w-0 bg-transparent font-mono text-[1.4rem] font-bold outline-none"
                />
                <span className="text-soft">{unitLabel(point.unit)}</span>
            </span>
            <span className={`font-semibold ${verdictColour(preview?.verdict)}`} aria-live="polite">
                {preview?.said}
            </span>
        </label>
    );
}

/** Which way: an arrow round a screw head, or along a rod. */
function TurnSign({ direction }: { direction: string }) {
    const round = direction === 'cw' || direction === 'ccw';
    return (
        <svg viewBox="0 0 44 44" className="size-11" aria-hidden="true">
            {round ? (
                <g transform={direction === 'ccw' ? 'matrix(-1 0 0 1 44 0)' : undefined}>
                    <circle cx="22" cy="22" r="10" fill="none" className="stroke-ink" strokeWidth="2" />
                    <path d="M16 28 28 16" className="stroke-ink" strokeWidth="3" />
                    <path d="M22 4a18 18 0 0 1 17 12" fill="none" className="stroke-spruce" strokeWidth="3" />
                    <path d="M43 13l-3 8-7-5z" className="fill-spruce" />
                </g>
            ) : (
                <g>
                    <path d="M12 22h20" className="stroke-ink" strokeWidth="6" />
                    {direction === 'lengthen' || direction === 'raise' ? (
                        <path d="M10 14 2 22l8 8M34 14l8 8-8 8" fill="none" className="stroke-spruce" strokeWidth="3" />
                    ) : (
                        <path d="M2 14l8 8-8 8M42 14l-8 8 8 8" fill="none" className="stroke-spruce" strokeWidth="3" />
                    )}
                </g>
            )}
        </svg>
    );
}
