import { Button } from '../../parts/Button';
import { earlier } from '../../parts/earlier';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';
import { noThen, type ThenDraft } from './follow';

const kinds = [
    ['question', 'a question'],
    ['look', 'a further look'],
    ['card', 'a card'],
    ['suspect', 'a suspect'],
] as const;

/** What a rule opens, each in a line of its own. */
export function Opens({
    opens,
    cards,
    onOpens,
}: {
    opens: ThenDraft[];
    cards: readonly string[];
    onOpens: (opens: ThenDraft[]) => void;
}) {
    const change = (i: number, part: Partial<ThenDraft>) =>
        onOpens(opens.map((o, k) => (k === i ? { ...o, ...part } : o)));
    return (
        <fieldset className="space-y-3">
            <legend className="font-semibold">What follows</legend>
            {opens.map((o, i) => (
                <div
                    // biome-ignore lint/suspicious/noArrayIndexKey: they have no names but their places
                    key={i}
                    className="grid grid-cols-[10rem_minmax(0,1fr)_auto] items-end gap-2"
                    data-opens={i}
                >
                    <Pick label="Kind" big value={o.kind} onChange={(kind) => change(i, { kind })}>
                        {kinds.map(([value, name]) => (
                            <option key={value} value={value}>
                                {name}
                            </option>
                        ))}
                    </Pick>
                    <Field
                        label="What"
                        name={`text-${i}`}
                        value={o.text}
                        onChange={(e) => change(i, { text: e.target.value })}
                    />
                    <span className="flex gap-1">
                        <Button
                            aria-label="Up"
                            className="min-h-12"
                            disabled={i === 0}
                            onClick={() => onOpens(earlier(opens, i))}
                        >
                            ↑
                        </Button>
                        <Button
                            aria-label="Remove"
                            className="min-h-12"
                            onClick={() => onOpens(opens.filter((_, k) => k !== i))}
                        >
                            Remove
                        </Button>
                    </span>
                    {o.kind === 'question' && (
                        <Field
                            label="Answers to choose from"
                            className="col-span-2"
                            hint="With commas; none, and it is answered in words."
                            name={`choices-${i}`}
                            value={o.choices}
                            onChange={(e) => change(i, { choices: e.target.value })}
                        />
                    )}
                    {o.kind === 'card' && (
                        <Field
                            label="Card"
                            className="col-span-2"
                            name={`card-${i}`}
                            list="rule-cards"
                            value={o.card}
                            onChange={(e) => change(i, { card: e.target.value })}
                        />
                    )}
                    {o.kind === 'suspect' && (
                        <Field
                            label="Chapter of its system"
                            className="col-span-2"
                            name={`chapter-${i}`}
                            value={o.chapter}
                            onChange={(e) => change(i, { chapter: e.target.value })}
                        />
                    )}
                </div>
            ))}
            <datalist id="rule-cards">
                {cards.map((c) => (
                    <option key={c} value={c} />
                ))}
            </datalist>
            <Button onClick={() => onOpens([...opens, noThen])}>Add one</Button>
        </fieldset>
    );
}
