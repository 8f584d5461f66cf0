import { PickKey } from '../../../parts/PickKey';

/** Yes or no, as two big keys. */
export function YesNo({
    title,
    note,
    value,
    onValue,
    yes = 'Yes',
    no = 'No',
}: {
    title: string;
    note?: string;
    value: string | undefined;
    onValue: (v: 'yes' | 'no') => void;
    yes?: string;
    no?: string;
}) {
    return (
        <div className="grid min-h-16 grid-cols-[minmax(0,1fr)_7rem_7rem] items-center gap-2 border-b border-rule/60 py-1">
            <span className="text-[1.05rem]">
                {title}
                {note && <span className="block text-sm text-soft">{note}</span>}
            </span>
            {(['yes', 'no'] as const).map((v) => (
                <PickKey
                    key={v}
                    picked={value === v}
                    aria-label={`${title}: ${v === 'yes' ? yes : no}`}
                    onClick={() => onValue(v)}
                >
                    {v === 'yes' ? yes : no}
                </PickKey>
            ))}
        </div>
    );
}
