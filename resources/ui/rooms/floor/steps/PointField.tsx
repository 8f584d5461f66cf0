import type { ClipboardEvent } from 'react';
import type { Schemas } from '../../../api/client';
import { band } from '../../../parts/scale';
import { INSTRUMENT_KEY, useInstrument } from '../FromInstrument';
import { ReadBefore, Strange } from '../ReadBefore';
import { unitLabel, usePreview, verdictColour } from '../ReadingField';
import type { StepProps } from '../useStep';
import type { SheetPoint } from './Sheet';
import { Watch } from './Watch';

/** One point of a sheet: what it must be, what it read before, the field, and what is said of it as one types. */
export function PointField({
    card,
    step,
    point,
    first,
    values,
    tool,
    watch,
    beside,
    onValue,
    onEnter,
    onPaste,
}: Pick<StepProps, 'card' | 'step'> & {
    point: SheetPoint;
    first: boolean;
    values: Record<string, string>;
    tool: string;
    watch: boolean;
    beside: Schemas['BesideView'] | undefined;
    onValue: (v: string) => void;
    onEnter: () => void;
    onPaste: (e: ClipboardEvent<HTMLInputElement>) => void;
}) {
    const value = values[point.id] ?? '';
    const preview = usePreview(
        card,
        step,
        point.limit || point.chart ? value : '',
        tool,
        point.id,
        point.chart ? values : undefined,
    );
    const instrument = useInstrument(tool, onValue);
    const limit = point.limit ? band(point.limit) : null;
    return (
        <div className="grid grid-cols-[minmax(0,1fr)_8.5rem] items-center gap-3 border-b border-rule/60 pb-1">
            <label htmlFor={`point-${point.id}`}>
                {point.place}
                <span className="block min-h-5 text-sm text-soft" aria-live="polite">
                    {preview ? (
                        <b className={verdictColour(preview.verdict)}>
                            {preview.said}
                            {preview.must !== '' && `; must be ${preview.must}`}
                        </b>
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
