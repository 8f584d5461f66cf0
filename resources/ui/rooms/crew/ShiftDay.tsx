import { useState } from 'react';
import { DateInput, whole } from '../../parts/DateInput';

/** The day of the shift, typed or chosen; gone to once it is whole. */
export function ShiftDay({ date, onDate }: { date: string; onDate: (date: string) => void }) {
    const [text, setText] = useState(date);
    return (
        <span className="w-44">
            <DateInput
                what="the day"
                aria-label="Day"
                value={text}
                onChange={(e) => {
                    setText(e.target.value);
                    if (whole(e.target.value)) {
                        onDate(e.target.value);
                    }
                }}
                className="h-9 rounded-lg border border-ink bg-sheet px-2 pointer-coarse:h-12"
            />
        </span>
    );
}
