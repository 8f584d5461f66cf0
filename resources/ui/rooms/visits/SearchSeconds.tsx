/** How long a search may take. */
export function SearchSeconds({ seconds, onChange }: { seconds: number; onChange: (seconds: number) => void }) {
    return (
        <select
            aria-label="Time for the search"
            className="min-h-9 rounded-lg border border-rule bg-sheet px-2 pointer-coarse:min-h-12"
            value={seconds}
            onChange={(e) => onChange(Number(e.target.value))}
        >
            {[3, 10, 30, 60].map((s) => (
                <option key={s} value={s}>
                    {s} s
                </option>
            ))}
        </select>
    );
}
