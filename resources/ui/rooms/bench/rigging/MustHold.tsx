import { unitLabel } from '../../floor/ReadingField';
import type { Must } from './model';

/** What such entries are called among the readings. */
export const HOLDS = 'holds:';

/** One thing that must hold: ticked, or measured within its limits. */
export function MustHold({ must, value, onValue }: { must: Must; value: string; onValue: (v: string) => void }) {
    if (must.unit === undefined) {
        return (
            <label className="flex min-h-12 items-center gap-3">
                <input
                    type="checkbox"
                    name={HOLDS + must.id}
                    className="size-6 accent-spruce"
                    checked={value !== ''}
                    onChange={(e) => onValue(e.target.checked ? 'yes' : '')}
                />
                {must.title}
            </label>
        );
    }
    return (
        <label className="flex min-h-12 flex-wrap items-center gap-3">
            {must.title}
            <span className="flex h-12 items-center rounded-lg border-2 border-ink bg-sheet px-3">
                <input
                    name={HOLDS + must.id}
                    inputMode="decimal"
                    autoComplete="off"
                    value={value}
                    onChange={(e) => onValue(e.target.value)}
                    className="w-20 bg-transparent font-mono text-[1.3rem] font-bold outline-none"
                />
                <span className="text-soft">{unitLabel(must.unit)}</span>
            </span>
            <span className="text-soft">
                {must.min} to {must.max} {unitLabel(must.unit)}
            </span>
        </label>
    );
}

/** Everything that must hold before anything is read; nothing where nothing must. */
export function Requires(props: {
    of: Must[];
    entries: Record<string, string>;
    onEntry: (name: string, value: string) => void;
}) {
    return props.of.length === 0 ? null : (
        <fieldset className="my-4 rounded-xl border border-rule p-4">
            <legend className="px-1 font-semibold">Before anything is read</legend>
            {props.of.map((m) => (
                <MustHold
                    key={m.id}
                    must={m}
                    value={props.entries[HOLDS + m.id] ?? ''}
                    onValue={(v) => props.onEntry(HOLDS + m.id, v)}
                />
            ))}
        </fieldset>
    );
}
