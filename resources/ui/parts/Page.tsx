import type { UseQueryResult } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import type { Failure } from '../api/client';
import { Button } from './Button';

/** A room: the sentence its user came for, what is to be done about it, then the rest. */
export function Page({
    over,
    sentence,
    note,
    actions,
    children,
}: {
    over?: ReactNode;
    sentence: ReactNode;
    note?: ReactNode;
    actions?: ReactNode;
    children: ReactNode;
}) {
    return (
        <main className="min-w-0 flex-1 px-6 pt-4 pb-12">
            {over && <p className="mb-1 text-soft">{over}</p>}
            <div className="flex items-start justify-between gap-6">
                <h1 className="max-w-4xl text-pretty text-[1.5rem] leading-tight font-semibold" data-testid="sentence">
                    {sentence}
                </h1>
                {actions && <div className="noprint flex shrink-0 gap-2">{actions}</div>}
            </div>
            {note && <p className="mt-1 text-soft">{note}</p>}
            <div className="mt-5">{children}</div>
        </main>
    );
}

export function Loading() {
    return (
        <main className="flex-1 p-6" aria-busy="true">
            <p className="text-soft">Reading…</p>
            <div className="mt-4 space-y-3" aria-hidden="true">
                {[70, 90, 55, 80].map((w) => (
                    <div key={w} className="h-4 rounded bg-shade" style={{ width: `${w}%` }} />
                ))}
            </div>
        </main>
    );
}

const OPENED = Date.now();

/** How long what was kept on this device stays unseen while the server is asked whether it still stands. */
const PATIENCE = 2_000;

/**
 * Whether what there is to show was kept before this page was opened and is being asked for again: whoever typed into it would
 * see it change under their hands.
 */
function useStale<T>({ dataUpdatedAt, isFetching }: UseQueryResult<T, Failure>): boolean {
    const [patient, setPatient] = useState(Date.now() - OPENED < PATIENCE);
    useEffect(() => {
        const timer = setTimeout(() => setPatient(false), Math.max(0, OPENED + PATIENCE - Date.now()));
        return () => clearTimeout(timer);
    }, []);
    return patient && isFetching && dataUpdatedAt > 0 && dataUpdatedAt < OPENED;
}

/** What a failed read shows: what happened, what was kept, what to do. */
export function Wait<T>({ query, children }: { query: UseQueryResult<T, Failure>; children: (data: T) => ReactNode }) {
    const stale = useStale(query);
    if (query.data !== undefined && !stale) {
        return children(query.data);
    }
    if (query.error) {
        return (
            <Page
                sentence={query.error.status === 404 ? 'Not found.' : 'This could not be read.'}
                note={
                    query.error.status === 404
                        ? 'It may have been renamed, or the address is mistyped.'
                        : query.error.message
                }
            >
                <Button onClick={() => void query.refetch()}>Retry</Button>
            </Page>
        );
    }
    return <Loading />;
}

export function Section({ title, children, aside }: { title: string; children: ReactNode; aside?: ReactNode }) {
    return (
        <section className="mt-8">
            <div className="mb-2 flex items-baseline justify-between gap-4 border-b border-rule pb-1">
                <h2 className="font-semibold">{title}</h2>
                {aside}
            </div>
            {children}
        </section>
    );
}

/** Something longer or wider than its place, reached by keyboard too. */
export function Scroll({
    label,
    className = '',
    children,
}: {
    label: string;
    className?: string;
    children: ReactNode;
}) {
    return (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reached by keyboard
        <section aria-label={label} tabIndex={0} className={`overflow-auto ${className}`}>
            {children}
        </section>
    );
}

/** An error beside what caused it; every bad line is named. */
export function Trouble({ error }: { error: Failure | null }) {
    if (!error) {
        return null;
    }
    return (
        <div role="alert" className="mt-3 rounded-lg border-2 border-rust bg-rust-wash px-3 py-2" data-testid="trouble">
            <p>{error.message}</p>
            {error.lines.length > 0 && (
                <ul className="mt-2 max-h-64 overflow-auto font-mono text-sm">
                    {error.lines.map((l) => (
                        <li key={l.line + l.message}>
                            <b>{l.line}</b>: {l.message}
                        </li>
                    ))}
                </ul>
            )}
        </div>
    );
}

/** What must be known before the work, told apart from every state: a black edge for what may hurt people, a striped one for equipment. */
export function Caution({
    level,
    title,
    heads = false,
    children,
}: {
    level: 'warning' | 'caution';
    title?: string;
    /** It is what the page is about: its title is the page's heading. */
    heads?: boolean;
    children: ReactNode;
}) {
    const Title = heads ? 'h1' : 'b';
    return (
        <div
            className={`flex overflow-hidden rounded-lg border-2 border-ink bg-sheet ${level === 'caution' ? 'border-dashed' : ''}`}
            role="note"
            aria-label={level === 'warning' ? 'Warning' : 'Caution'}
        >
            <div
                className={`w-3 shrink-0 ${level === 'warning' ? 'bg-ink' : 'bg-[repeating-linear-gradient(45deg,var(--ink)_0_4px,transparent_4px_8px)]'}`}
            />
            <div className="px-3 py-2">
                <b className="mr-2">{level === 'warning' ? 'Warning' : 'Caution'}</b>
                {title && <Title className="inline font-bold">{title}. </Title>}
                {children}
            </div>
        </div>
    );
}

/** Said wherever somebody is about to act on an aircraft. */
export function Defers() {
    return (
        <p className="mt-8 text-sm text-soft">
            Approved maintenance data, local rules and your licence come first. Jorvel does not replace them.
        </p>
    );
}
