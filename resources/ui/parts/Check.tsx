import type { ReactNode } from 'react';

/** Something that is so or not, large enough for gloves. */
export function Check({
    name,
    checked,
    onChange,
    className = '',
    children,
}: {
    name?: string;
    checked: boolean;
    onChange: (yes: boolean) => void;
    className?: string;
    children: ReactNode;
}) {
    return (
        <label className={`flex min-h-12 items-center gap-3 ${className}`}>
            <input
                type="checkbox"
                name={name}
                className="size-6 shrink-0 accent-spruce"
                checked={checked}
                onChange={(e) => onChange(e.target.checked)}
            />
            <span>{children}</span>
        </label>
    );
}
