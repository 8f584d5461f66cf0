import type { ReactNode } from 'react';

type Props = { says: ReactNode; hint?: string; name: string; accept: string; onFile: (file: File) => void };

/** A file to be brought in; the same one can be chosen once more after it was mended. */
export function FilePick({ says, hint, name, accept, onFile }: Props) {
    return (
        <label
            className={
                'flex min-h-16 cursor-pointer items-center gap-4 rounded-xl border-2 border-dashed border-soft bg-sheet ' +
                'px-5 focus-within:outline-2 focus-within:outline-spruce'
            }
        >
            <b>{says}</b>
            {hint && <span className="text-soft">{hint}</span>}
            <input
                type="file"
                name={name}
                accept={accept}
                className="sr-only"
                onChange={(e) => {
                    const file = e.target.files?.[0];
                    if (file) {
                        onFile(file);
                    }
                    e.target.value = '';
                }}
            />
        </label>
    );
}
