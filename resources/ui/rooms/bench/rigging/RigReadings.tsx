import type { FormEvent } from 'react';
import type { Failure, Schemas } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { FromInstrument, INSTRUMENT_KEY, useInstrument } from '../../floor/FromInstrument';
import { ToolPick, unitLabel, usePreview, verdictColour } from '../../floor/ReadingField';
import { HOLDS, MustHold, Requires } from './MustHold';
import { type Must, type Point, type Spec, school } from './model';
import { RigWatched } from './RigGround';
import { RigThreads, threadEntries } from './RigThreads';

type Props = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    spec: Spec;
    title: string;
    action: string;
    /** asked for in every ground run, not when the gauges are read once more */
    requires: Must[];
    /** whether the gauges are read in a run of its own */
    run: boolean;
    /** whether it is the beginning of the rigging */
    first: boolean;
    /** what was watched in the ground run that ends with these readings */
    watched: Schemas['GroundView']['limits'];
    entries: Record<string, string>;
    onEntries: (entries: Record<string, string>) => void;
    tool: string;
    onTool: (tool: string) => void;
    send: { isPending: boolean; error: Failure | null };
    onSave: () => void;
};

/** What must hold, then every point, with the tool that reads them. */
export function RigReadings(props: Props) {
    const { card, step, spec, requires, entries, onEntries, tool, send } = props;
    const set = (id: string, value: string) => onEntries({ ...entries, [id]: value });
    const cautions = props.run ? (spec.ground?.cautions ?? []) : [];
    const musts = [...(cautions.length > 0 ? ['cautions'] : []), ...requires.map((m) => m.id)];
    const threads = props.first ? threadEntries(spec.adjusters) : [];
    const waits = [
        ...spec.points.map((p) => p.id),
        ...musts.map((m) => HOLDS + m),
        ...threads,
        ...props.watched.map((_, i) => `peak:${i}`),
    ].some((id) => (entries[id] ?? '').trim() === '');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        if (!send.isPending && !waits) {
            props.onSave();
        }
    };
    return (
        <form onSubmit={submit} className="mt-5">
            {cautions.length > 0 && (
                <div className="mb-4 rounded-xl border-2 border-ink bg-sheet p-4" data-testid="run-cautions">
                    <b>Before the engines run</b>
                    <ul className="mt-1 text-[1.1rem]">
                        {cautions.map((c) => (
                            <li key={c}>{c}</li>
                        ))}
                    </ul>
                    <MustHold
                        must={{ id: 'cautions', title: 'Read out to everybody; the crew is in place and answers' }}
                        value={entries[`${HOLDS}cautions`] ?? ''}
                        onValue={(v) => set(`${HOLDS}cautions`, v)}
                    />
                </div>
            )}
            <Requires of={requires} entries={entries} onEntry={set} />
            {threads.length > 0 && <RigThreads adjusters={spec.adjusters} entries={entries} onEntry={set} />}
            <h2 className="font-semibold">{props.title}</h2>
            <div className="mt-2 space-y-2">
                {spec.points.map((p, i) => (
                    <PointField
                        key={p.id}
                        card={card}
                        step={step}
                        point={p}
                        follows={school(spec, p)}
                        tool={tool}
                        first={i === 0 && requires.length === 0}
                        entry={entries[p.id] ?? ''}
                        onEntry={(v) => set(p.id, v)}
                    />
                ))}
            </div>
            {props.watched.length > 0 && <RigWatched limits={props.watched} entries={entries} onEntry={set} />}
            <ToolPick card={card} kind={spec.tool_kind} tool={tool} onTool={props.onTool} />
            <Trouble error={send.error} />
            <Button kind="main" big type="submit" hint="Enter" className="mt-5" disabled={send.isPending || waits}>
                {props.action}
            </Button>
        </form>
    );
}

type FieldProps = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    point: Point;
    follows: string[];
    tool: string;
    first: boolean;
    entry: string;
    onEntry: (v: string) => void;
};

function PointField({ card, step, point, follows, tool, first, entry, onEntry }: FieldProps) {
    const preview = usePreview(card, step, entry, tool, point.id);
    const instrument = useInstrument(tool, onEntry);
    return (
        <div>
            <label className="grid grid-cols-[minmax(0,1fr)_10rem_minmax(0,1fr)] items-center gap-4">
                <span>
                    {point.title}{' '}
                    <span className="whitespace-nowrap text-sm text-soft">
                        {point.min} to {point.max} {unitLabel(point.unit)}
                    </span>
                    {follows.map((f) => (
                        <span key={f} className="block text-sm text-soft">
                            {f} {unitLabel(point.unit)}
                        </span>
                    ))}
                </span>
                <span className="flex h-12 items-center rounded-lg border-2 border-ink bg-sheet px-3">
                    <input
                        name={point.id}
                        inputMode="decimal"
                        autoComplete="off"
                        autoFocus={first}
                        value={entry}
                        onChange={(e) => onEntry(e.target.value)}
                        onKeyDown={(e) => {
                            if (e.key === INSTRUMENT_KEY) {
                                e.preventDefault();
                                void instrument.drop();
                            }
                        }}
                        className="w-full min-w-0 bg-transparent font-mono text-[1.4rem] font-bold outline-none"
                    />
                    <span className="text-soft">{unitLabel(point.unit)}</span>
                </span>
                <span className={`font-semibold ${verdictColour(preview?.verdict)}`} aria-live="polite">
                    {preview?.said}
                </span>
            </label>
            {instrument.said !== null && <FromInstrument instrument={instrument} />}
        </div>
    );
}
