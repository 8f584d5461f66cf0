import { useEffect, useRef, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useAsking } from '../../api/useAsking';
import { Arc } from '../../parts/Arc';
import { short } from '../../parts/dates';
import { Scale } from '../../parts/Scale';
import { band, drawn, type LimitSpec } from '../../parts/scale';
import { capital } from '../../parts/words';
import { FromInstrument, INSTRUMENT_KEY, useInstrument } from './FromInstrument';
import { ReadBefore, Strange, useBefore } from './ReadBefore';

export type ReadingSpec = {
    point: string;
    tool_kind?: string;
    limit: LimitSpec;
    decision?: string;
    gauge?: { position: string };
    /** The rule whose limit it may exceed. */
    exceeds?: { rule: string; position: string };
    /** Names of what the limit waits for, and the expressions that it came from. */
    pending?: string[];
    from?: Record<string, string>;
};

const labels: Record<string, string> = { Nm: 'N·m', lbf_in: 'lbf·in', lbf_ft: 'lbf·ft', deg: '°', C: '°C', F: '°F' };
export const unitLabel = (unit: string): string => labels[unit] ?? unit;

/** The tool of a kind: the one that is out on this card already; otherwise none, until somebody chooses it. */
export function useTool(card: Schemas['CardView'], kind: string): [string, (code: string) => void] {
    const out = card.tools.find(
        (t) => t.kind === kind && t.usable && card.loans.some((l) => l.what.startsWith(`${t.code} `)),
    );
    return useState(out?.code ?? '');
}

/** What the server would say of a reading, as one types. */
export function usePreview(
    card: Schemas['CardView'],
    step: Schemas['StepView'],
    entry: string,
    tool: string,
    point?: string,
    /** What the other points of its sheet read, where it goes by a chart. */
    entries?: Record<string, string>,
): Schemas['Preview'] | null {
    const path = { id: card.id, no: step.no };
    const { said, failed } = useAsking(
        entry.trim() === '' ? null : { path, body: { entry, tool, point, entries } },
        (of) => take(api.POST('/api/cards/{id}/steps/{no}/preview', { params: { path: of.path }, body: of.body })),
        120,
    );
    return failed ? null : said;
}

export const verdictColour = (verdict: string | undefined): string =>
    verdict === 'pass' ? 'text-spruce' : verdict === undefined ? 'text-soft' : 'text-rust';

type Props = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    spec: ReadingSpec;
    entry: string;
    onEntry: (v: string) => void;
    tool: string;
    onTool: (code: string) => void;
    onSave: () => void;
    /** Told what the server said of it: legal, and outside what is advised. */
    onUnusual?: (on: boolean) => void;
};

/** One reading: the scale, the field with its unit fixed, the verdict as one types, the tool. */
export function ReadingField({ card, step, spec, entry, onEntry, tool, onTool, onSave, onUnusual }: Props) {
    const preview = usePreview(card, step, entry, tool);
    const beside = useBefore(card, step)[spec.point];
    const unusual = preview?.unusual === true;
    useEffect(() => onUnusual?.(unusual), [onUnusual, unusual]);
    const field = useRef<HTMLInputElement>(null);
    useEffect(() => field.current?.focus(), []);
    const instrument = useInstrument(tool, onEntry);
    const unit = unitLabel(spec.limit.unit);
    const value = preview?.value ?? drawn(entry);
    const bad = preview !== null && preview.verdict !== 'pass';
    // What turns is drawn as something that turns: an angle, a wrench.
    const dial = step.kind === 'torque' || spec.limit.unit === 'deg';
    return (
        <div className="mt-5">
            {dial ? (
                <div className="max-w-sm">
                    <Arc
                        title={spec.point}
                        unit={unit}
                        limit={band(spec.limit)}
                        needles={value === null ? [] : [{ name: 'read', value, look: bad ? 'found' : 'good' }]}
                    />
                </div>
            ) : (
                <Scale limit={band(spec.limit)} unit={unit} value={value} bad={bad} />
            )}
            <div className="mt-3 grid min-h-20 grid-cols-[13rem_minmax(0,1fr)] items-center gap-5">
                <label className="flex h-[4.25rem] w-full items-center rounded-xl border-2 border-ink bg-sheet px-4">
                    <span className="sr-only">{spec.point}</span>
                    <input
                        ref={field}
                        name="entry"
                        inputMode="decimal"
                        autoComplete="off"
                        value={entry}
                        onChange={(e) => onEntry(e.target.value)}
                        onKeyDown={(e) => {
                            if (e.key === INSTRUMENT_KEY && spec.tool_kind) {
                                e.preventDefault();
                                void instrument.drop();
                            }
                            if (e.key === 'Enter' && entry !== '') {
                                e.preventDefault();
                                onSave();
                            }
                        }}
                        className="w-full min-w-0 bg-transparent font-mono text-[2.2rem] font-bold outline-none"
                    />
                    <span className="text-[1.1rem] font-semibold text-soft">{unit}</span>
                </label>
                <p
                    className={`max-w-md text-[1.2rem] leading-snug font-semibold ${verdictColour(preview?.verdict)}`}
                    aria-live="polite"
                    data-testid="verdict"
                >
                    {preview?.said ?? (entry === '' ? `Enter the reading: ${spec.point}.` : '…')}
                    <Strange preview={preview} />
                </p>
            </div>
            <ReadBefore of={beside} />
            {spec.tool_kind && (
                <>
                    <ToolPick card={card} kind={spec.tool_kind} limit={spec.limit} tool={tool} onTool={onTool} />
                    {tool !== '' && <FromInstrument instrument={instrument} />}
                </>
            )}
        </div>
    );
}

export function ToolPick({
    card,
    kind,
    limit,
    tool,
    onTool,
}: {
    card: Schemas['CardView'];
    kind: string;
    limit?: LimitSpec;
    tool: string;
    onTool: (code: string) => void;
}) {
    // Those whose range holds the whole limit come first.
    const { low, high } = limit ? band(limit) : { low: null, high: null };
    const holds = (t: Schemas['ToolView']) =>
        t.unit === limit?.unit && t.low <= (low ?? t.low) && (high ?? t.high) <= t.high;
    const rank = (t: Schemas['ToolView']) => (t.usable ? 0 : 2) + (limit === undefined || holds(t) ? 0 : 1);
    const tools = card.tools.filter((t) => t.kind === kind).sort((a, b) => rank(a) - rank(b));
    const chosen = tools.find((t) => t.code === tool);
    return (
        <div className="mt-3 flex flex-wrap items-center gap-2">
            <label className="flex items-center gap-2">
                <span>{capital(kind)}</span>
                <select
                    name="tool"
                    value={tool}
                    onChange={(e) => onTool(e.target.value)}
                    className="h-12 w-auto rounded-lg border-2 border-soft bg-sheet px-2 font-mono"
                >
                    {tool === '' && <option value="">choose</option>}
                    {tools.map((t) => (
                        <option key={t.code} value={t.code}>
                            {t.code}, {t.low} to {t.high} {unitLabel(t.unit)} {t.usable ? '' : '(not usable)'}
                        </option>
                    ))}
                </select>
            </label>
            <span className={`text-sm ${chosen && !chosen.usable ? 'font-semibold text-rust' : 'text-soft'}`}>
                {chosen
                    ? (chosen.why ??
                      `${chosen.title}, checked until ${short(chosen.calDue)}, reads to ${chosen.resolution} ${unitLabel(chosen.unit)}`)
                    : card.id === 0
                      ? 'The tool in hand is chosen here.'
                      : tools.length === 0
                        ? `no ${kind} in the store`
                        : `Choose the ${kind} in your hand.`}
            </span>
        </div>
    );
}
