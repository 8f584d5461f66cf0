import { useId } from 'react';
import { FromInstrument, INSTRUMENT_KEY, useInstrument } from '../FromInstrument';
import { unitLabel } from '../ReadingField';

/** One number with its unit fixed beside it, big enough for a gloved thumb; with an instrument, what it shows. */
export function Number1({
    label,
    name,
    unit,
    value,
    onValue,
    onEnter,
    autoFocus,
    tool,
}: {
    label: string;
    name?: string;
    unit: string;
    value: string;
    onValue: (v: string) => void;
    onEnter?: () => void;
    autoFocus?: boolean;
    /** the chosen instrument, '' while none is; left out where none is read */
    tool?: string;
}) {
    const id = useId();
    const instrument = useInstrument(tool ?? '', onValue);
    return (
        <div className="mt-3 max-w-xs">
            <label htmlFor={id} className="mb-1 block font-semibold">
                {label}
            </label>
            <span className="flex h-16 items-center rounded-xl border-2 border-ink bg-sheet px-4">
                <input
                    id={id}
                    name={name ?? 'entry'}
                    inputMode="decimal"
                    autoComplete="off"
                    autoFocus={autoFocus}
                    value={value}
                    onChange={(e) => onValue(e.target.value)}
                    onKeyDown={(e) => {
                        if (e.key === INSTRUMENT_KEY && tool !== undefined) {
                            e.preventDefault();
                            void instrument.drop();
                        }
                        if (e.key === 'Enter' && onEnter) {
                            e.preventDefault();
                            onEnter();
                        }
                    }}
                    className="w-full min-w-0 bg-transparent font-mono text-[1.8rem] font-bold outline-none"
                />
                <span className="font-semibold text-soft">{unitLabel(unit)}</span>
            </span>
            {tool !== undefined && <FromInstrument instrument={instrument} />}
        </div>
    );
}
