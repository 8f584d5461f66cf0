import type { ReactNode } from 'react';
import { short } from '../../parts/dates';
import { DropSection } from '../../parts/drag';
import type { Line, Slot } from './Pack';
import { Filled } from './PackParts';

/** A visit or a free time, how full it is, and what goes into it; a free one may be left out of the proposal. */
export function PackSlot({
    slot,
    lines,
    propose,
    chips,
}: {
    slot: Slot;
    lines: Line[];
    propose: { on: boolean; onChange: (on: boolean) => void } | false;
    chips: ReactNode;
}) {
    return (
        <DropSection
            id={slot.id}
            data-slot={slot.id}
            className={`rounded-lg border bg-sheet p-3 ${slot.problem ? 'border-2 border-rust' : slot.kind === 'free' ? 'border-dashed border-soft' : 'border-ink'}`}
            aria-label={`${slot.title}, ${short(slot.start)} to ${short(slot.end)}`}
        >
            <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-1">
                <b>
                    {short(slot.start, slot.start)} to {short(slot.end, slot.start)}
                </b>
                <span>{slot.bay}</span>
                <span className="text-soft">{slot.title}</span>
                <span className="flex-1" />
                <Filled slot={slot} />
                {propose && (
                    <label className="flex items-center gap-1.5 text-sm">
                        <input
                            type="checkbox"
                            className="size-4 accent-spruce"
                            checked={propose.on}
                            onChange={(e) => propose.onChange(e.target.checked)}
                        />
                        propose it
                    </label>
                )}
            </div>
            {chips}
            {lines.length === 0 && <p className="text-sm text-soft">Nothing goes in here.</p>}
        </DropSection>
    );
}
