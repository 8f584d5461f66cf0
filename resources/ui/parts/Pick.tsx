import type { ReactNode } from 'react';

type Props = {
    label: string;
    value: string | number;
    onChange: (v: string) => void;
    className?: string;
    name?: string;
    big?: boolean;
    children: ReactNode;
};

/** One of a list, with its label. */
export function Pick({ label, value, onChange, className = '', name, big, children }: Props) {
    return (
        <label className={`block font-semibold ${className}`}>
            {label}
            <select
                name={name}
                className={`mt-1 block w-full rounded-lg border-2 border-soft bg-sheet px-2 font-normal ${big ? 'h-12 text-[1.05rem]' : 'h-10'}`}
                value={value}
                onChange={(e) => onChange(e.target.value)}
            >
                {children}
            </select>
        </label>
    );
}
