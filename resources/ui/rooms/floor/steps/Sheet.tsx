import { type ClipboardEvent, useRef, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { band, type LimitSpec } from '../../../parts/scale';
import { SheetDrawing } from '../../bench/SheetDrawing';
import { INSTRUMENT_KEY, useInstrument } from '../FromInstrument';
import { ReadBefore, Strange, useBefore } from '../ReadBefore';
import { unitLabel, usePreview, verdictColour } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';
import { ToolsOf, useTools } from './Tools';
import { Watch } from './Watch';

export type SheetPoint = { id: string; place: string; unit: string; tool_kind?: string; limit?: LimitSpec };
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
            <div ref={list} className="mt-3 grid max-w-4xl gap-x-8 gap-y-2 min-[1150px]:grid-cols-2">
                {spec.points.map((p, i) => (
                    <PointField
                        key={p.id}
                        card={card}
                        step={step}
                        point={p}
                        first={i === 0}
                        value={values[p.id] ?? ''}
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

function PointField({
    card,
    step,
    point,
    first,
    value,
    tool,
    watch,
    beside,
    onValue,
    onEnter,
    onPaste,
}: Pick<StepProps, 'card' | 'step'> & {
    point: SheetPoint;
    first: boolean;
    value: string;
    tool: string;
    watch: boolean;
    beside: Schemas['BesideView'] | undefined;
    onValue: (v: string) => void;
    onEnter: () => void;
    onPaste: (e: ClipboardEvent<HTMLInputElement>) => void;
}) {
    const preview = usePreview(card, step, point.limit ? value : '', tool, point.id);
    const instrument = useInstrument(tool, onValue);
    const limit = point.limit ? band(point.limit) : null;
    return (
        <div className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-3 border-b border-rule/60 pb-1">
            <label htmlFor={`point-${point.id}`}>
                {point.place}
                <span className="block text-sm text-soft" aria-live="polite">
                    {preview ? (
                        <b className={verdictColour(preview.verdict)}>{preview.said}</b>
                    ) : instrument.said ? (
                        instrument.said
                    ) : limit ? (
                        [limit.low, limit.high].filter((v) => v !== null).join(' to ')
                    ) : (
                        ''
                    )}
                    <Strange preview={preview} />
                </span>
                <ReadBefore of={beside} />
                {watch && <Watch place={point.place} onTime={onValue} />}
            </label>
            <span className="flex h-14 items-center rounded-xl border-2 border-ink bg-sheet px-3">
                <input
                    id={`point-${point.id}`}
                    data-point={point.id}
                    name={`point-${point.id}`}
                    inputMode="decimal"
                    autoComplete="off"
                    autoFocus={first}
                    value={value}
                    onChange={(e) => onValue(e.target.value)}
                    onPaste={onPaste}
                    onKeyDown={(e) => {
                        if (e.key === INSTRUMENT_KEY && point.tool_kind) {
                            e.preventDefault();
                            void instrument.drop();
                        }
                        if (e.key === 'Enter') {
                            e.preventDefault();
                            onEnter();
                        }
                    }}
                    className="w-full min-w-0 bg-transparent font-mono text-[1.4rem] font-bold outline-none"
                />
                <span className="font-semibold text-soft">{unitLabel(point.unit)}</span>
            </span>
        </div>
    );
}
