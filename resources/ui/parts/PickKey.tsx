import type { ButtonHTMLAttributes } from 'react';

/** A big key that is picked or not, for a gloved thumb. */
export function PickKey({
    picked,
    className = '',
    ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { picked: boolean }) {
    return (
        <button
            type="button"
            aria-pressed={picked}
            {...rest}
            className={`min-h-14 rounded-xl border-2 font-semibold ${
                picked ? 'border-ink bg-ink text-paper' : 'border-soft bg-sheet'
            } ${className}`}
        />
    );
}
