import { api, type Schemas, take } from '../../api/client';
import { useAsking } from '../../api/useAsking';
import { bodyOf, type RuleDraft } from './follow';

type Preview = Schemas['FollowPreview'];

/** What the server says of a rule as it is written. */
export function usePreview(type: string, draft: RuleDraft): Preview | null {
    const { said, failed } = useAsking(
        { path: { type }, body: { body: bodyOf(draft) } },
        (of) => take(api.POST('/api/library/follows/{type}/preview', { params: { path: of.path }, body: of.body })),
        250,
    );
    return failed ? null : said;
}

/** Beside the rule: what it would do, and for which findings it would have held. */
export function FollowBeside({ preview }: { preview: Preview | null }) {
    return (
        <aside
            className="self-start rounded-xl border border-rule bg-sheet p-4"
            aria-live="polite"
            data-testid="beside"
        >
            <h2 className="font-semibold">What it would do</h2>
            {preview === null && <p className="mt-2 text-soft">Looking at it…</p>}
            {preview?.fault && <p className="mt-2 font-semibold text-rust">{preview.fault}</p>}
            {preview?.when && <p className="mt-2">Of {preview.when}:</p>}
            <ul className="mt-2 space-y-1">
                {preview?.then.map((line) => (
                    <li key={line} className="whitespace-pre-wrap">
                        {line}
                    </li>
                ))}
            </ul>
            {preview?.past && <p className="mt-4 font-semibold">{preview.past}</p>}
            <ul className="mt-1 space-y-1 text-sm text-soft">
                {preview?.found.map((f) => (
                    <li key={f}>{f}</li>
                ))}
            </ul>
        </aside>
    );
}
