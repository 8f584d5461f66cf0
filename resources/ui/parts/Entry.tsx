import type { InputHTMLAttributes } from 'react';

/** A field in a line of others, named to whoever does not see them. */
export function Entry({ className = '', ...rest }: InputHTMLAttributes<HTMLInputElement> & { 'aria-label': string }) {
    return <input {...rest} className={`h-12 rounded-lg border-2 border-soft bg-sheet px-3 ${className}`} />;
}
