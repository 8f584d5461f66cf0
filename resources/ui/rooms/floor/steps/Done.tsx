import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { State } from '../../../parts/State';
import { band, type LimitSpec, within } from '../../../parts/scale';
import { type ReadingSpec, unitLabel } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { PointList } from './Circuit';

const results: Record<string, (r: Record<string, unknown>) => string> = {
    counted: (r) => `Counted ${String(r.counted)}.`,
    held: (r) => `Held for ${String(r.held)} s.`,
    batch: (r) =>
        r.again ? 'The one that was there.' : `Batch ${String(r.batch)}, ${String(r.quantity)} ${String(r.part)}.`,
    tool: (r) => `With ${String(r.tool)}.`,
    covers: (r) => `Looked at: ${(r.covers as string[]).join(', ')}.`,
    said: (r) => `${String(r.said)}.`,
    mark: (r) => `Marked: ${String(r.mark)}${r.unit ? ` ${unitLabel(String(r.unit))}` : ''}.`,
    met: (r) => `Met: ${String(r.met)}${r.unit ? ` ${unitLabel(String(r.unit))}, off by ${String(r.off)}` : ''}.`,
    points: (r) => `All ${String(r.points)} points.`,
    note: (r) => `Remarked: ${String(r.note)}.`,
    calls: (r) =>
        `Called clear: ${Object.entries(r.calls as Record<string, { name: string }>)
            .map(([place, c]) => `${place} (${c.name})`)
            .join(', ')}.`,
};

/** A step that is done: what was entered, and the way to take it back. */
export function DoneStep({ card, step, may, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const [why, setWhy] = useState('');
    const [asking, setAsking] = useState<'take_back' | 'again' | null>(null);
    return (
        <div className="mt-5">
            <p>
                {step.state === 'not_reached' ? (
                    <>
                        <State state="waiting" word="Not reached" />: {String(step.result.why)}
                    </>
                ) : step.state === 'not_applicable' ? (
                    <>
                        <State state="waiting" word="Not applicable" />: {String(step.result.why)}. Said by{' '}
                        {step.doneBy}, {step.doneAt}.
                    </>
                ) : (
                    <>
                        {step.result.verdict !== undefined && step.result.verdict !== 'pass' ? (
                            <State state="stop" word="Not good" />
                        ) : (
                            <State state="clear" word="Done" />
                        )}{' '}
                        by {step.doneBy}, {step.doneAt}.
                    </>
                )}
            </p>
            {step.went.map((line) => (
                <p key={line}>{line}</p>
            ))}
            {step.uplift && <Uplift said={step.uplift} leak={step.result.leak === true} />}
            {step.kind === 'circuit' && <PointList points={step.points} />}
            {step.went.length === 0 &&
                Object.entries(results).map(([key, say]) => key in step.result && <p key={key}>{say(step.result)}</p>)}
            {step.readings.length > 0 && (
                <table className="mt-3 text-left">
                    <tbody>
                        {step.readings.map((r, i) => (
                            // biome-ignore lint/suspicious/noArrayIndexKey: readings are only ever added
                            <tr key={i} className={`border-t border-rule/60 ${r.stands ? '' : 'text-soft'}`}>
                                <td className="py-1 pr-6">
                                    {r.point} {r.kind !== 'reading' && `(${r.kind.replace('_', '-')}, run ${r.run})`}
                                </td>
                                <td className="pr-2 text-right font-mono">{r.value}</td>
                                <td className="pr-6">{r.unit}</td>
                                <td className="pr-6">
                                    {r.said}
                                    {!r.stands && r.kind !== 'as_found' && ', superseded'}
                                </td>
                                <td className="font-mono text-sm">{r.tool}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {step.readings.length > 0 && step.kind !== 'rig' && <Limits spec={step.spec} />}
            {may && step.kind !== 'inspection' && step.state !== 'not_reached' && (
                <div className="mt-5">
                    {asking && step.fallsWith.length > 0 && (
                        <p className="mb-2">
                            <State state="watch" word="To be done again" />:{' '}
                            {step.fallsWith.length === 1 ? 'step' : 'steps'} {step.fallsWith.join(', ')}, which{' '}
                            {step.fallsWith.length === 1 ? 'rests' : 'rest'} on this one.
                        </p>
                    )}
                    {asking === 'take_back' && step.kind === 'safing_fit' && (
                        <p className="mb-2">Only if it is not on. The register then says so.</p>
                    )}
                    {asking === 'take_back' && step.kind === 'safing_remove' && (
                        <p className="mb-2">
                            Only if it is still on. It stands in the register again, and holds what it held.
                        </p>
                    )}
                    {asking && step.kind === 'part' && (
                        <p className="mb-2 text-soft">
                            What was taken does not go back into its batch; the store is told. If it comes back unused,
                            Stores enters it.
                        </p>
                    )}
                    {asking ? (
                        <form
                            className="flex max-w-xl gap-2"
                            onSubmit={(e) => {
                                e.preventDefault();
                                send.mutate({ do: asking, note: why });
                            }}
                        >
                            <input
                                autoFocus
                                value={why}
                                onChange={(e) => setWhy(e.target.value)}
                                aria-label={asking === 'again' ? 'Why it is done again' : 'Why it is taken back'}
                                placeholder="Why? The first entry stays in the record."
                                className="h-12 flex-1 rounded-lg border-2 border-soft bg-sheet px-3"
                            />
                            <Button big type="submit" disabled={why === '' || send.isPending}>
                                {asking === 'again' ? 'Open it again' : 'Take back'}
                            </Button>
                        </form>
                    ) : (
                        <>
                            <Button kind="quiet" onClick={() => setAsking('take_back')}>
                                Take this step back
                            </Button>
                            {step.state === 'done' &&
                                !['caution', 'safing_fit', 'safing_remove'].includes(step.kind) && (
                                    <Button kind="quiet" onClick={() => setAsking('again')}>
                                        Do it once more
                                    </Button>
                                )}
                        </>
                    )}
                    <Trouble error={send.error} />
                </div>
            )}
        </div>
    );
}

function Limits({ spec }: { spec: Record<string, unknown> }) {
    const limit = (spec.reading as ReadingSpec | undefined)?.limit as LimitSpec | undefined;
    if (!limit) {
        return null;
    }
    return (
        <p className="mt-2 text-sm text-soft">
            Limits: {within(band(limit))} {limit.unit}.
        </p>
    );
}

/** What was topped up, beside what is usual. */
function Uplift({ said, leak }: { said: string; leak: boolean }) {
    return (
        <p>
            <State state={leak ? 'watch' : 'clear'} word={leak ? 'Leak?' : 'Use'} /> {said}
        </p>
    );
}
