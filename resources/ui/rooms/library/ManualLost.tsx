import type { Schemas } from '../../api/client';
import { State } from '../../parts/State';

type Marked = Schemas['MarkedTemplate'];

/** Warnings that went with the revision, each to be acknowledged, and figures that a step still holds. */
export function Lost({
    templates,
    seen,
    onSeen,
}: {
    templates: Marked[];
    seen: string[];
    onSeen: (seen: string[]) => void;
}) {
    const lost = [...new Set(templates.flatMap((t) => t.lost))];
    const contradicts = templates.flatMap((t) => t.contradicts.map((c) => `${t.code}: ${c}`));
    return (
        <>
            {lost.length > 0 && (
                <fieldset className="rounded-lg border-2 border-rust bg-rust-wash px-4 py-2" data-testid="lost">
                    <legend className="px-1 font-semibold">
                        <State
                            state="stop"
                            word={
                                lost.length === 1
                                    ? 'A warning went, or was reworded'
                                    : `${lost.length} warnings went, or were reworded`
                            }
                        />
                    </legend>
                    {lost.map((w) => (
                        <label key={w} className="flex min-h-12 items-center gap-3">
                            <input
                                type="checkbox"
                                className="size-6 shrink-0 accent-spruce"
                                checked={seen.includes(w)}
                                onChange={(e) =>
                                    onSeen(e.target.checked ? [...seen, w] : seen.filter((one) => one !== w))
                                }
                            />
                            <span>
                                “{w}” <span className="text-soft">is no longer there; I have seen that.</span>
                            </span>
                        </label>
                    ))}
                </fieldset>
            )}
            {contradicts.length > 0 && (
                <ul className="rounded-lg border-2 border-ochre bg-ochre-wash px-4 py-2" data-testid="contradicts">
                    {contradicts.map((c) => (
                        <li key={c} className="py-0.5">
                            <State state="watch" word="Another figure" />: {c}
                        </li>
                    ))}
                </ul>
            )}
        </>
    );
}

/** Whether every warning that went with these was acknowledged. */
export const allSeen = (templates: Marked[], seen: string[]): boolean =>
    templates.every((t) => t.lost.every((w) => seen.includes(w)));
