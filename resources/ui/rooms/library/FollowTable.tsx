import type { ComponentProps } from 'react';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';
import { Opens } from './FollowParts';
import { noRow, noThen, type RowDraft, type RuleDraft } from './follow';

type Text = (name: 'quantity' | 'chapter' | 'limit' | 'positions') => Partial<ComponentProps<typeof Field>>;

/** A limit and its table: the mildest row first. */
export function Table({
    draft: d,
    text,
    units,
    cards,
    set,
}: {
    draft: RuleDraft;
    text: Text;
    units: string[];
    cards: readonly string[];
    set: (part: Partial<RuleDraft>) => void;
}) {
    const change = (i: number, part: Partial<RowDraft>) =>
        set({ rows: d.rows.map((r, k) => (k === i ? { ...r, ...part } : r)) });
    return (
        <>
            <div className="grid grid-cols-2 gap-3">
                <Field label="What is limited" placeholder="propeller speed" {...text('quantity')} />
                <Field label="Positions" hint="With commas." placeholder="engine 1, engine 2" {...text('positions')} />
            </div>
            <div className="grid grid-cols-4 gap-3">
                <Field label="Chapter" {...text('chapter')} />
                <Pick label="Limit" big value={d.side} onChange={(side) => set({ side })}>
                    <option value="over">at most</option>
                    <option value="under">at least</option>
                </Pick>
                <Field label="Value" inputMode="decimal" {...text('limit')} />
                <Pick label="Unit" big value={d.unit} onChange={(unit) => set({ unit })}>
                    {units.map((u) => (
                        <option key={u}>{u}</option>
                    ))}
                </Pick>
            </div>
            {d.rows.map((r, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: they have no names but their places
                <fieldset key={i} className="rounded-xl border border-rule p-3" data-row={i}>
                    <legend className="px-1 font-semibold">Row {i + 1}</legend>
                    <div className="grid grid-cols-[7rem_7rem_minmax(0,1fr)_auto] items-end gap-2">
                        <Field
                            label={`Beyond, ${d.unit}`}
                            inputMode="decimal"
                            value={r.beyond}
                            onChange={(e) => change(i, { beyond: e.target.value })}
                        />
                        <Field
                            label="For, s"
                            inputMode="decimal"
                            value={r.seconds}
                            onChange={(e) => change(i, { seconds: e.target.value })}
                        />
                        <Field
                            label="What is done"
                            value={r.title}
                            onChange={(e) => change(i, { title: e.target.value })}
                        />
                        <Button
                            className="min-h-12"
                            disabled={d.rows.length === 1}
                            onClick={() => set({ rows: d.rows.filter((_, k) => k !== i) })}
                        >
                            Remove
                        </Button>
                        <Pick
                            label="The aircraft"
                            className="col-span-2"
                            big
                            value={r.severity}
                            onChange={(severity) =>
                                change(i, {
                                    severity,
                                    opens: r.opens.length === 0 ? [{ ...noThen, kind: 'card' }] : r.opens,
                                })
                            }
                        >
                            <option value="">only recorded</option>
                            <option value="minor">minor finding</option>
                            <option value="major">major finding</option>
                            <option value="critical">critical finding</option>
                        </Pick>
                    </div>
                    {r.severity !== '' && (
                        <div className="mt-3">
                            <Opens opens={r.opens} cards={cards} onOpens={(opens) => change(i, { opens })} />
                        </div>
                    )}
                </fieldset>
            ))}
            <Button onClick={() => set({ rows: [...d.rows, noRow] })}>Add a row</Button>
        </>
    );
}
