import { State } from './State';

/** What nothing forbids, and may still not be meant: read first, then said yes to, so that the button works. */
export function Asked({ points, sure, onSure }: { points: string[]; sure: boolean; onSure: (on: boolean) => void }) {
    return (
        <section
            className="mt-3 rounded-lg border-2 border-ochre bg-ochre-wash px-4 py-2"
            role="alert"
            data-testid="asked"
        >
            <p>
                <State state="watch" word="Is this meant?" /> Nothing was saved yet.
            </p>
            <ul className="max-h-56 list-disc overflow-auto pl-6">
                {points.map((p) => (
                    <li key={p}>{p}</li>
                ))}
            </ul>
            <label className="flex min-h-12 items-center gap-3 font-semibold">
                <input
                    type="checkbox"
                    className="size-6 accent-spruce"
                    checked={sure}
                    onChange={(e) => onSure(e.target.checked)}
                />
                Yes, it is meant
            </label>
        </section>
    );
}
