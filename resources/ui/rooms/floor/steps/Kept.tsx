import type { ReactNode } from 'react';

/** What was entered and is not right: the record keeps it, and the step stays open. */
export function Kept({ children }: { children: ReactNode }) {
    return (
        <p className="mt-3 rounded-lg border-2 border-rust bg-rust-wash p-3" role="status">
            {children}
        </p>
    );
}
