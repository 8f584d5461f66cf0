import { useId, useState } from 'react';
import { Button } from '../../../parts/Button';
import { DateInput, whole } from '../../../parts/DateInput';
import { Pick } from '../../../parts/Pick';
import { pin, place } from './laid';
import type { Chosen } from './SeasonChosen';

/** The days and the bay of the visit that is chosen, set by hand; and whether it stays there. */
export function SeasonPlace({ block, season, lay }: Chosen) {
    const id = useId();
    const [start, setStart] = useState(block.start);
    const [end, setEnd] = useState(block.end);
    const [bay, setBay] = useState(block.bay);
    const [was, setWas] = useState(`${block.start}${block.end}${block.bay}`);
    if (was !== `${block.start}${block.end}${block.bay}`) {
        // It was moved on the drawing meanwhile.
        setWas(`${block.start}${block.end}${block.bay}`);
        setStart(block.start);
        setEnd(block.end);
        setBay(block.bay);
    }
    const ready = whole(start) && whole(end) && end >= start;
    const same = start === block.start && end === block.end && bay === block.bay;
    const look = 'h-9 rounded-lg border border-rule bg-sheet px-2 pointer-coarse:h-12';
    return (
        <form
            className="mt-3 flex flex-wrap items-end gap-3"
            onSubmit={(e) => {
                e.preventDefault();
                lay((laid) => place(laid, block.id, { start, end, bay }));
            }}
        >
            <div className="w-44">
                <label htmlFor={`${id}start`} className="mb-0.5 block text-sm text-soft">
                    First day
                </label>
                <DateInput
                    id={`${id}start`}
                    what="first day"
                    value={start}
                    onChange={(e) => setStart(e.target.value)}
                    className={look}
                />
            </div>
            <div className="w-44">
                <label htmlFor={`${id}end`} className="mb-0.5 block text-sm text-soft">
                    Last day
                </label>
                <DateInput
                    id={`${id}end`}
                    what="last day"
                    value={end}
                    onChange={(e) => setEnd(e.target.value)}
                    className={look}
                />
            </div>
            <div className="w-52">
                <Pick
                    small
                    label="Where"
                    name="bay"
                    value={bay}
                    onChange={setBay}
                    options={season.bays
                        .filter((b) => b.fits.includes(block.mark) || b.id === block.bay)
                        .map((b) => [b.id, b.name])}
                />
            </div>
            <Button type="submit" disabled={!ready || same}>
                Move it
            </Button>
            <Button aria-pressed={block.pinned} onClick={() => lay((laid) => pin(laid, block.id))}>
                {block.pinned ? 'Let it move' : 'Pin it'}
            </Button>
        </form>
    );
}
