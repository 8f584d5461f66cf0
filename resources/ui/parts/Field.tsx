import type { InputHTMLAttributes, ReactNode } from 'react';
import { useId } from 'react';

export function Field({
    label,
    hint,
    className = '',
    ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; hint?: ReactNode }) {
    const id = useId();
    return (
        <div className={className}>
            <label htmlFor={id} className="mb-1 block font-semibold">
                {label}
            </label>
            <input id={id} {...rest} className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3 text-[1.05rem]" />
            {hint && <p className="mt-1 text-sm text-soft">{hint}</p>}
        </div>
    );
}
