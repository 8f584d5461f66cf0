import type { ReactNode } from 'react';

type Props = {
    label: string;
    value: string | number;
    onChange: (v: string) => void;
    className?: string;
    name?: string;
    big?: boolean;
    /** Beside a drawing: as low as a finger still hits it. */
    small?: boolean;
    /** Value and words of each, where the words are all that there is to say. */
    options?: [string, string][];
    children?: ReactNode;
};

/** One of a list, with its label. */
export function Pick({ label, value, onChange, className = '', name, big, small, options, children }: Props) {
    const look = small
        ? 'mt-0.5 min-h-9 border border-rule text-base text-ink pointer-coarse:min-h-12'
        : `mt-1 border-2 border-soft ${big ? 'h-12 text-[1.05rem]' : 'h-10'}`;
    return (
        <label className={`block ${small ? 'text-sm text-soft' : 'font-semibold'} ${className}`}>
            {label}
            <select
                name={name}
                className={`block w-full rounded-lg bg-sheet px-2 font-normal ${look}`}
                value={value}
                onChange={(e) => onChange(e.target.value)}
            >
                {options?.map(([of, words]) => (
                    <option key={of} value={of}>
                        {words}
                    </option>
                ))}
                {children}
            </select>
        </label>
    );
}
