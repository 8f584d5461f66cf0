import type { ButtonHTMLAttributes } from 'react';
import { Link, type LinkProps } from 'react-router';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
    kind?: 'main' | 'plain' | 'quiet';
    big?: boolean;
    hint?: string;
};

const looks = {
    main: 'bg-spruce text-on-spruce border-spruce font-semibold',
    plain: 'bg-sheet text-ink border-ink font-semibold',
    quiet: 'bg-transparent text-ink border-transparent underline underline-offset-4',
};

/** Big ones are for gloves; under a finger all are at least 48 px high. A key held down presses once. */
export function Button({ kind = 'plain', big, hint, className = '', children, ...rest }: Props) {
    const look = looks[kind];
    return (
        <button
            type="button"
            {...rest}
            onKeyDown={(e) => {
                if (e.repeat && (e.key === 'Enter' || e.key === ' ')) {
                    e.preventDefault();
                }
                rest.onKeyDown?.(e);
            }}
            className={`rounded-lg border ${look} ${big ? 'min-h-14 px-5 text-[1.05rem]' : 'min-h-9 px-3.5 pointer-coarse:min-h-12'} disabled:border-rule disabled:bg-shade disabled:text-soft ${className}`}
        >
            {children}
            {hint && <kbd className="ml-2 font-mono text-[0.85em] font-normal opacity-80">{hint}</kbd>}
        </button>
    );
}

/** A way to another page that is pressed like a button; under a glove 48 px high. */
export function ButtonLink({
    kind = 'plain',
    big = true,
    className = '',
    ...rest
}: LinkProps & { kind?: 'main' | 'plain'; big?: boolean }) {
    return (
        <Link
            {...rest}
            className={`inline-flex items-center rounded-lg border ${looks[kind]} ${
                big ? 'min-h-12 px-4' : 'min-h-9 px-3.5 pointer-coarse:min-h-12'
            } ${className}`}
        />
    );
}
