import { useId, useState } from 'react';

export const box = 'w-full rounded-lg border-2 bg-sheet px-2.5';

/** A text that keeps its own lines while one types in it, also the empty one at the end. */
export function CardText({
    label,
    name,
    value,
    hint,
    long,
    suggest,
    fault,
    first,
    onChange,
}: {
    label: string;
    name: string;
    value: string;
    hint?: string;
    long?: boolean;
    suggest?: readonly string[];
    fault?: string;
    /** One writes here first. */
    first?: boolean;
    onChange: (v: string) => void;
}) {
    const id = useId();
    const [typed, setTyped] = useState(value);
    const [from, setFrom] = useState(value);
    // What came from elsewhere, an undo or another step, replaces what was typed.
    if (from !== value) {
        setFrom(value);
        if (typed.split('\n').filter(Boolean).join('\n') !== value && typed.replace(',', '.') !== value) {
            setTyped(value);
        }
    }
    const change = (v: string) => {
        setTyped(v);
        onChange(v);
    };
    const look = `${box} ${fault ? 'border-rust' : 'border-soft'}`;
    return (
        <div>
            <label htmlFor={id} className="mb-0.5 block text-sm font-semibold">
                {label}
            </label>
            {long ? (
                <textarea
                    id={id}
                    name={name}
                    rows={Math.min(8, Math.max(2, typed.split('\n').length + 1))}
                    className={`${look} py-1.5`}
                    placeholder={hint}
                    value={typed}
                    onChange={(e) => change(e.target.value)}
                />
            ) : (
                <input
                    id={id}
                    name={name}
                    className={`${look} h-10`}
                    placeholder={hint}
                    autoFocus={first}
                    list={suggest ? `${id}-list` : undefined}
                    autoComplete="off"
                    value={typed}
                    onChange={(e) => change(e.target.value)}
                />
            )}
            {suggest && !long && (
                <datalist id={`${id}-list`}>
                    {suggest.map((s) => (
                        <option key={s} value={s} />
                    ))}
                </datalist>
            )}
            {suggest && long && suggest.length > 0 && (
                <p className="mt-0.5 text-xs text-soft">one of: {suggest.join(', ')}</p>
            )}
            <Wrong fault={fault} />
        </div>
    );
}

export function Wrong({ fault }: { fault?: string }) {
    return fault ? (
        <p className="mt-0.5 text-sm font-semibold text-rust" data-testid="fault">
            {fault}
        </p>
    ) : null;
}
