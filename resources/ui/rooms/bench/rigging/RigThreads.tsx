import type { Adjuster } from './model';

/** What such entries are called among the readings. */
export const THREADS = 'threads:';

/** The names of the entries that a sheet asks for: four ends for each pair of turnbuckles. */
export const threadEntries = (adjusters: Adjuster[]): string[] =>
    adjusters.flatMap((a) => (a.buckles ? [0, 1, 2, 3].map((end) => `${THREADS}${a.id}:${end}`) : []));

/** Threads that show at the ends of turnbuckles, counted before anything is turned. */
export function RigThreads(props: {
    adjusters: Adjuster[];
    entries: Record<string, string>;
    onEntry: (name: string, value: string) => void;
}) {
    return props.adjusters.map(
        (a) =>
            a.buckles && (
                <fieldset key={a.id} className="mb-4 rounded-xl border border-rule p-4">
                    <legend className="px-1 font-semibold">{a.title}: threads that show</legend>
                    <p className="text-sm text-soft">
                        At both ends of each barrel; at most {a.buckles.max_threads} may show.
                    </p>
                    {a.buckles.names.map((name, i) => (
                        <div key={name} className="mt-2 grid grid-cols-[minmax(0,1fr)_6rem_6rem] items-center gap-3">
                            <span>{name}</span>
                            {[2 * i, 2 * i + 1].map((end) => (
                                <input
                                    key={end}
                                    name={`${THREADS}${a.id}:${end}`}
                                    aria-label={`${name}, ${end % 2 === 0 ? 'one end' : 'other end'}: threads that show`}
                                    inputMode="decimal"
                                    autoComplete="off"
                                    value={props.entries[`${THREADS}${a.id}:${end}`] ?? ''}
                                    onChange={(e) => props.onEntry(`${THREADS}${a.id}:${end}`, e.target.value)}
                                    className="h-12 rounded-lg border-2 border-ink bg-sheet px-3 font-mono text-[1.3rem] font-bold"
                                />
                            ))}
                        </div>
                    ))}
                </fieldset>
            ),
    );
}
