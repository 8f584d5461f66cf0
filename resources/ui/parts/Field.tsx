import type { InputHTMLAttributes, ReactNode } from 'react';
import { useId } from 'react';
import { DateInput } from './DateInput';

const look = 'h-12 rounded-lg border-2 border-soft bg-sheet px-3 text-[1.05rem]';

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
            {rest.type === 'date' ? (
                <DateInput id={id} {...rest} what={label.toLowerCase()} className={look} />
            ) : (
                <input id={id} {...rest} className={`w-full ${look}`} />
            )}
            {hint && <p className="mt-1 text-sm text-soft">{hint}</p>}
        </div>
    );
}
