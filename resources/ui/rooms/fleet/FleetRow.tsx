import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { Reach } from '../../parts/Reach';
import { Glyph, stateColour } from '../../parts/State';

export const columns =
    'grid grid-cols-[1.5rem_5.6rem_3rem_4.6rem_minmax(0,1fr)_minmax(0,24rem)] max-[1100px]:grid-cols-[1.5rem_5.6rem_0_4.2rem_minmax(0,1fr)_minmax(0,18rem)] items-center gap-x-2';

type CraftProps = {
    row: Schemas['ReachRow'];
    today: string;
    horizon: number;
    chosen: boolean;
    /** On the line, and without a daily that is good. */
    lacks: boolean;
    onOpen: () => void;
    onFocus: () => void;
};

export function Craft({ row, today, horizon, chosen, lacks, onOpen, onFocus }: CraftProps) {
    return (
        <button
            type="button"
            data-mark={row.mark}
            onClick={onOpen}
            onFocus={onFocus}
            className={`${columns} h-full w-full rounded-md border px-0 text-left ${chosen ? 'border-rule bg-sheet' : 'border-transparent hover:bg-sheet'}`}
        >
            <span className="pl-1">
                <Glyph state={row.state} />
            </span>
            <b className="font-mono">{row.mark}</b>
            <span className="overflow-hidden font-mono text-sm text-soft">{row.type}</span>
            <b className={`text-sm ${stateColour(row.state)}`}>{row.state}</b>
            <Reach row={row} horizon={horizon} />
            <span className="truncate">
                {lacks && <b className="mr-1.5 text-sm text-rust">no daily</b>}
                {row.stop ? (
                    <>
                        <span className="mr-1.5 font-mono text-sm">{short(row.stop.date, today)}</span>
                        {row.stop.title} <span className="text-sm text-soft">{row.stop.detail}</span>
                    </>
                ) : (
                    <span className="text-soft">nothing within twenty years</span>
                )}
            </span>
        </button>
    );
}

export function Legend() {
    const item = 'flex items-center gap-1 text-xs text-soft';
    return (
        <div className="flex items-center justify-end gap-x-2.5 max-[1100px]:gap-x-1.5">
            <span className={item}>
                <span className="h-2 w-6 bg-[repeating-linear-gradient(120deg,var(--spruce)_0_3px,var(--spruce-wash)_3px_7px)]" />{' '}
                use
            </span>
            <span className={item}>
                <span className="h-2 w-6 bg-spruce" /> calendar
            </span>
            <span className={item}>
                <span className="h-1.5 w-6 bg-[repeating-linear-gradient(90deg,var(--spruce)_0_4px,transparent_4px_7px)]" />{' '}
                deferral
            </span>
            <span className={item}>
                <span className="h-4 w-5 border-x-2 border-slate bg-shade" /> visit
            </span>
            <span className={item}>
                <span className="w-5 border-t-2 border-dotted border-rust" />
                <span className="-ml-1 size-2 rounded-full border-2 border-rust" /> fuse
            </span>
        </div>
    );
}
