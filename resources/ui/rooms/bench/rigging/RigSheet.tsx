import { useEffect, useRef, useState } from 'react';
import { Button } from '../../../parts/Button';
import { useTool } from '../../floor/ReadingField';
import { type StepProps, useStep } from '../../floor/useStep';
import type { Spec } from './model';
import { RestsOn } from './RestsOn';
import { RigBriefing, RigRunning } from './RigGround';
import { RigHistory } from './RigHistory';
import { RigPicture } from './RigPicture';
import { RigReadings } from './RigReadings';
import { RigTurned } from './RigTurned';
import { useForetold } from './useForetold';

/** A rigging sheet: read, see what to turn and what it should then read, say what was turned, read again. */
export function RigSheet(about: StepProps) {
    const { card, step, onConflict } = about;
    // In the preview of a card nothing runs.
    const ground = step.ground ?? undefined;
    const spec = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [tool, setTool] = useTool(card, spec.tool_kind);
    const [entries, setEntries] = useState<Record<string, string>>({});
    // The rounds of the rigging that is in hand: an earlier one ended within.
    const begun = step.runs.findLastIndex((r) => r.story !== null);
    const runs = step.runs.slice(Math.max(0, begun));
    const run = runs.at(-1)?.verdict === 'within' ? undefined : runs.at(-1);
    const at = `${run?.no} ${run?.turned === null}`;
    const [seen, setSeen] = useState(at);
    // The round of which what was turned is put right.
    const [correcting, setCorrecting] = useState<number>();
    if (seen !== at) {
        setSeen(at);
        setEntries({});
    }
    // What came of it is read first, wherever the form stood that was sent.
    const top = useRef<HTMLDivElement>(null);
    const first = useRef(at);
    useEffect(() => {
        if (first.current !== at) {
            first.current = at;
            top.current?.scrollIntoView({ block: 'start' });
        }
    }, [at]);
    const again = run?.verdict === 'read_again';
    const [meant, setMeant] = useState<Record<string, string>>();
    const turning = run !== undefined && !again && (run.turned === null || correcting === run.no);
    const { said: foretold, failed: wrong } = useForetold(card.id, step.no, turning ? meant : undefined);
    const typed = Object.fromEntries(
        Object.entries(entries).flatMap(([id, v]) => {
            const value = Number(v.replace(',', '.'));
            return v.trim() === '' || Number.isNaN(value) ? [] : [[id, value]];
        }),
    );
    // The cautions of a run stand before all else.
    const briefing = !turning && ground?.running === null;
    const picture = (
        <div className="mt-3">
            <RigPicture
                spec={spec}
                runs={run ? runs : []}
                typed={typed}
                foretold={turning ? (foretold?.next ?? undefined) : undefined}
            />
        </div>
    );
    return (
        <div className="mt-3 scroll-mt-28" ref={top}>
            {run && (
                <p className="text-[1.2rem] leading-snug font-semibold" data-testid="rig-sentence">
                    {run.sentence}
                </p>
            )}
            {run && run.notes.length > 0 && (
                <ul className="mt-1 text-soft">
                    {run.notes.map((n) => (
                        <li key={n}>{n}</li>
                    ))}
                </ul>
            )}
            {!briefing && picture}
            {ground?.running && <RigRunning {...about} ground={ground} />}
            {turning ? (
                <RigTurned
                    key={run.no}
                    run={run}
                    adjusters={spec.adjusters}
                    foretold={foretold}
                    wrong={wrong}
                    onTyped={setMeant}
                    send={send}
                    onSave={(turned) =>
                        send.mutate({ do: 'turned', entries: turned }, { onSuccess: () => setCorrecting(undefined) })
                    }
                />
            ) : ground && briefing ? (
                <>
                    <RigBriefing {...about} spec={spec} ground={ground} />
                    {picture}
                </>
            ) : (
                <RigReadings
                    card={card}
                    step={step}
                    spec={spec}
                    title={
                        run === undefined
                            ? 'As found: read every point before anything is turned'
                            : again
                              ? 'Read every point once more, in the same run'
                              : 'As left: read every point again'
                    }
                    action={
                        run === undefined
                            ? 'Save the as-found readings'
                            : again
                              ? 'Save what is read now'
                              : 'Save the as-left readings'
                    }
                    requires={again || ground ? [] : (spec.requires ?? [])}
                    run={!again && !ground}
                    watched={ground?.limits ?? []}
                    first={run === undefined}
                    entries={entries}
                    onEntries={setEntries}
                    tool={tool}
                    onTool={setTool}
                    send={send}
                    onSave={() => send.mutate({ do: run ? 'as_left' : 'as_found', entries, tool })}
                />
            )}
            {run && !again && !turning && !ground?.running && (
                <Button kind="quiet" className="mt-3" onClick={() => setCorrecting(run.no)}>
                    It was turned otherwise
                </Button>
            )}
            {run && <RestsOn spec={spec} runs={runs} open={card.notWhole} />}
            {run && <RigHistory spec={spec} runs={runs} />}
            {runs[0]?.story && run && <p className="mt-2 text-sm text-soft">{runs[0].story}</p>}
        </div>
    );
}
