import type { ReactNode } from 'react';
import type { Need } from './laid';

/** An item of a season, to be picked where somebody may change it. */
export function NeedLine({
    need,
    picked,
    onPick,
    after,
}: {
    need: Need;
    picked: boolean;
    onPick: (() => void) | null;
    after: ReactNode;
}) {
    const said = (
        <>
            <span className="w-16 shrink-0 font-mono text-sm">{need.code}</span>
            <span className="min-w-0 flex-1">
                {need.title}
                {need.why && <b className="text-rust"> {need.why}</b>}
            </span>
            <span className="shrink-0 text-sm text-soft">{after}</span>
        </>
    );
    const look = 'flex min-h-8 items-center gap-2 pointer-coarse:min-h-12';
    return (
        <li data-item={need.code}>
            {onPick ? (
                <label className={look}>
                    <input type="checkbox" className="size-5 accent-spruce" checked={picked} onChange={onPick} />
                    {said}
                </label>
            ) : (
                <p className={look}>{said}</p>
            )}
        </li>
    );
}
