import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { earlier } from '../../parts/earlier';
import { Pick } from '../../parts/Pick';

type Props = { own: string; cards: string[]; known: Schemas['ProgrammeCard'][]; onChange: (cards: string[]) => void };

/** The cards that are made beside an item's own: one a zone, position or side, in the order of their numbers. */
export function ItemSet({ own, cards, known, onChange }: Props) {
    const free = known.filter((c) => c.code !== own && !cards.includes(c.code));
    return (
        <fieldset className="mt-4" data-testid="item-set">
            <legend className="font-semibold">
                With the cards{' '}
                <span className="font-normal text-soft">
                    {cards.length === 0 ? 'none; it is one card' : `${own} closes when all of them are closed`}
                </span>
            </legend>
            <ol>
                {cards.map((c, n) => (
                    <li key={c} className="flex min-h-10 items-center gap-2 border-b border-rule/60">
                        <span className="w-6 text-right text-soft">{n + 1}</span>
                        <span className="grow">
                            <span className="font-mono">{c}</span> {known.find((k) => k.code === c)?.title}
                        </span>
                        {n > 0 && (
                            <Button
                                kind="quiet"
                                className="text-sm"
                                aria-label={`up: ${c}`}
                                onClick={() => onChange(earlier(cards, n))}
                            >
                                up
                            </Button>
                        )}
                        <Button
                            kind="quiet"
                            className="text-sm"
                            aria-label={`remove ${c}`}
                            onClick={() => onChange(cards.filter((x) => x !== c))}
                        >
                            remove
                        </Button>
                    </li>
                ))}
            </ol>
            {free.length > 0 && (
                <Pick label="Another card" className="mt-2" value="" onChange={(v) => onChange([...cards, v])}>
                    <option value="">choose</option>
                    {free.map((c) => (
                        <option key={c.code} value={c.code}>
                            {c.code} {c.title}
                        </option>
                    ))}
                </Pick>
            )}
        </fieldset>
    );
}
