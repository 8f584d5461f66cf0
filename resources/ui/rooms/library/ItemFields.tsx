import type { Limit } from './item';

type SmallProps = { label: string; value: string | number | undefined; onChange: (v: string) => void };

/** A figure with its name above it. */
export function Small({ label, value, onChange }: SmallProps) {
    return (
        <div>
            <span className="font-semibold" aria-hidden="true">
                {label}
            </span>
            <Figure name={label} value={value} onChange={onChange} />
        </div>
    );
}

export function Figure({
    name,
    value,
    onChange,
    unit,
}: {
    name: string;
    value: string | number | undefined;
    onChange: (v: string) => void;
    unit?: string;
}) {
    return (
        <span className="mt-1 flex h-10 w-16 items-center rounded-lg border-2 border-soft bg-sheet px-2 font-normal focus-within:outline-2 focus-within:outline-spruce">
            <input
                inputMode="decimal"
                aria-label={name}
                className="w-full min-w-0 bg-transparent font-mono outline-none"
                value={value ?? ''}
                onChange={(e) => onChange(e.target.value)}
            />
            {unit && <span className="pl-1 text-soft">{unit}</span>}
        </span>
    );
}

/** A fixed amount, or a percentage and perhaps a cap on it. */
export function Slack({
    label,
    value,
    onChange,
}: {
    label: string;
    value: Limit['tolerance'];
    onChange: (v: Limit['tolerance']) => void;
}) {
    const set = (part: 'abs' | 'pct' | 'cap', v: string) => onChange({ ...value, [part]: v });
    return (
        <fieldset>
            <legend className="font-semibold">
                {label} <span className="font-normal text-soft">fixed, or % and at most</span>
            </legend>
            <div className="flex gap-1">
                <Figure name={`${label}, fixed`} value={value?.abs} onChange={(v) => set('abs', v)} />
                <Figure name={`${label}, per cent`} unit="%" value={value?.pct} onChange={(v) => set('pct', v)} />
                <Figure name={`${label}, at most`} value={value?.cap} onChange={(v) => set('cap', v)} />
            </div>
        </fieldset>
    );
}
