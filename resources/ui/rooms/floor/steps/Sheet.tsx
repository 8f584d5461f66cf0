import { type ClipboardEvent, useRef, useState } from 'react';
import type { LimitSpec } from '../../../parts/scale';
import { SheetDrawing } from '../../bench/SheetDrawing';
import { useBefore } from '../ReadBefore';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { PointField } from './PointField';
import { ToolsOf, useTools } from './Tools';

export type SheetPoint = {
    id: string;
    place: string;
    unit: string;
    tool_kind?: string;
    limit?: LimitSpec;
    chart?: object;
};
export type SheetSpec = {
    points: SheetPoint[];
    draw?: 'scale' | 'arc' | 'pair' | 'ring';
    left?: boolean;
    watch?: boolean;
};

/** A sheet of readings: Enter goes to the next, a pasted column fills it, each is drawn and judged as it is typed. */
export function SheetStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as SheetSpec;
    const send = useStep({ card, step, onConflict });
    const [values, setValues] = useState<Record<string, string>>({});
    const [note, setNote] = useState('');
    const kinds = [...new Set(spec.points.flatMap((p) => p.tool_kind ?? []))];
    const [tools, setTool] = useTools(card, kinds);
    const list = useRef<HTMLDivElement>(null);
    const besides = useBefore(card, step);
    const run = (step.result.run as number | undefined) ?? 0;
    const found = !spec.left || run > 0;
    const act = spec.left ? (found ? 'as_left' : 'as_found') : 'read';
    const set = (id: string, value: string) => setValues((all) => ({ ...all, [id]: value }));
    const save = () =>
        send.mutate(
            {
                do: act,
                entries: {
                    ...values,
                    ...Object.fromEntries(kinds.map((k) => [`tool.${k}`, tools[k] ?? ''])),
                },
                ...(note.trim() === '' ? {} : { note }),
            },
            { onSuccess: () => setValues({}) },
        );
    const full = spec.points.every((p) => (values[p.id] ?? '').trim() !== '');
    const inputs = () => [...(list.current?.querySelectorAll<HTMLInputElement>('input[data-point]') ?? [])];
    const next = (i: number) => (i + 1 < spec.points.length ? inputs()[i + 1]?.select() : full && save());
    const paste = (e: ClipboardEvent<HTMLInputElement>, i: number) => {
        const column = e.clipboardData
            .getData('text')
            .trim()
            .split(/[\n\t;]+/);
        if (column.length > 1) {
            e.preventDefault();
            spec.points.slice(i).forEach((p, k) => {
                const one = column[k];
                one !== undefined && set(p.id, one.trim());
            });
            inputs()[Math.min(i + column.length, spec.points.length) - 1]?.focus();
        }
    };
    const lines = (step.result.lines ?? []) as { title: string; value: number; unit: string | null; verdict: string }[];
    return (
        <>
            {spec.left && (
                <p className="mt-3 font-semibold">
                    {found ? `As left, run ${run}` : 'As found, before anything is turned'}
                </p>
            )}
            <SheetDrawing spec={spec} values={values} />
            <div
                ref={list}
                className={`mt-3 grid max-w-4xl gap-x-8 gap-y-2 ${spec.points.length > 6 ? 'min-[1150px]:grid-cols-2' : ''}`}
            >
                {spec.points.map((p, i) => (
                    <PointField
                        key={p.id}
                        card={card}
                        step={step}
                        point={p}
                        first={i === 0}
                        values={values}
                        tool={p.tool_kind === undefined ? '' : (tools[p.tool_kind] ?? '')}
                        watch={spec.watch === true}
                        beside={besides[p.id]}
                        onValue={(v) => set(p.id, v)}
                        onEnter={() => next(i)}
                        onPaste={(e) => paste(e, i)}
                    />
                ))}
            </div>
            <ToolsOf card={card} kinds={kinds} tools={tools} onTool={setTool} />
            {found && spec.left && (
                <label className="mt-3 block max-w-2xl">
                    <span className="mb-1 block font-semibold">What was turned</span>
                    <input
                        name="note"
                        value={note}
                        onChange={(e) => setNote(e.target.value)}
                        className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                    />
                </label>
            )}
            {step.result.verdict !== undefined && step.result.verdict !== 'pass' && (
                <Kept>
                    Kept, and not within
                    {lines.map((l) => `; ${l.title}: ${l.value}${l.unit === null ? ' apart' : ` ${l.unit}`}`).join('')}.
                    Turn or mend it, then read again.
                </Kept>
            )}
            <Keys
                send={send}
                says={spec.left ? (found ? 'Save as left' : 'Save as found') : 'Save the readings'}
                hint="Enter"
                ready={full && kinds.every((k) => (tools[k] ?? '') !== '')}
                onSave={save}
                onWrong={onWrong}
            />
        </>
    );
}
