import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

/** A sheet over the page; Escape closes it. */
export function Dialog({
    open,
    onClose,
    title,
    children,
    wide,
}: {
    open: boolean;
    onClose: () => void;
    title: string;
    children: ReactNode;
    wide?: boolean;
}) {
    return (
        <Radix.Root open={open} onOpenChange={(o) => !o && onClose()}>
            <Radix.Portal>
                <Radix.Overlay className="fixed inset-0 z-40 bg-veil" />
                <Radix.Content
                    aria-describedby={undefined}
                    className={`fixed top-[4vh] left-1/2 z-50 max-h-[92vh] w-[94vw] -translate-x-1/2 overflow-auto rounded-xl border border-rule bg-paper p-6 ${wide ? 'max-w-4xl' : 'max-w-lg'}`}
                >
                    <Radix.Title className="mb-3 text-[1.25rem] font-semibold">{title}</Radix.Title>
                    {children}
                </Radix.Content>
            </Radix.Portal>
        </Radix.Root>
    );
}

/** What a dialog ends with, and what went wrong: in sight however long the dialog is. */
export function Actions({ children, trouble }: { children: ReactNode; trouble?: ReactNode }) {
    return (
        <div className="sticky -bottom-6 -mx-6 mt-5 -mb-6 border-t border-rule bg-paper px-6 pt-1 pb-4">
            {trouble}
            <div className="mt-3 flex gap-3">{children}</div>
        </div>
    );
}
