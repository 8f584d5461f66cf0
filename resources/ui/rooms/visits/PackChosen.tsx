import { short } from '../../parts/dates';
import type { Line, Slot } from './Pack';

/** The item chosen, what is known of it, and the way into another visit without dragging. */
export function PackChosen({
    line,
    slots,
    may,
    onMove,
}: {
    line: Line;
    slots: Slot[];
    may: boolean;
    onMove: (slot: string | null) => void;
}) {
    return (
        <div
            className="mb-4 flex flex-wrap items-center gap-3 rounded-lg border border-ink bg-sheet px-3 py-2"
            data-testid="chosen"
        >
            <b className="font-mono">{line.code}</b> {line.title}
            <span className="text-soft">
                {line.hours} h, by {short(line.latest, line.latest)}
                {line.access.length > 0 && `, panels ${line.access.join(', ')}`}. {line.problem ?? line.waste}
            </span>
            {may && (
                <label className="ml-auto flex items-center gap-2">
                    Move to
                    <select
                        className="min-h-9 rounded-lg border border-rule bg-paper px-2"
                        value={line.slot ?? ''}
                        onChange={(e) => onMove(e.target.value === '' ? null : e.target.value)}
                    >
                        <option value="">no visit</option>
                        {slots.map((s) => (
                            <option key={s.id} value={s.id}>
                                {short(s.start, s.start)} to {short(s.end, s.start)}, {s.bay}
                            </option>
                        ))}
                    </select>
                </label>
            )}
        </div>
    );
}
