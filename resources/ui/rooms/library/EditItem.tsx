import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';
import { Slack, Small } from './ItemFields';
import { ItemSet } from './ItemSet';
import { blank, type Item, type Limit, limitUnits, numbers } from './item';
import { Looking, useLooking } from './looking';

type Props = { programme: Schemas['ProgrammeRoom']; row: Schemas['ProgrammeRow'] | null; onClose: () => void };

/** One item changed, or a new one: it goes the way of a file, so that it is checked, shown against every aircraft's dates, and applied. */
export function EditItem({ programme, row, onClose }: Props) {
    const [item, setItem] = useState<Item>(
        row ? (row.source as unknown as Item) : blank(programme.cards[0]?.code ?? ''),
    );
    const looking = useLooking('programme');
    const change = (part: Partial<Item>) => {
        setItem({ ...item, ...part });
        looking.setView(null);
    };
    const limit = (n: number, part: Partial<Limit>) =>
        change({ limits: item.limits.map((l, i) => (i === n ? { ...l, ...part } : l)) });
    const look = () => void looking.look(`${item.code}, edited`, { type: programme.type, items: [numbers(item)] });
    return (
        <Dialog
            open
            onClose={onClose}
            title={row ? `${programme.type} ${item.code}` : `A new item of the ${programme.type}`}
            wide
        >
            <div className="grid grid-cols-2 gap-4">
                {!row && (
                    <>
                        <Field
                            label="Item"
                            name="code"
                            value={item.code}
                            onChange={(e) => change({ code: e.target.value })}
                        />
                        <Field
                            label="Chapter"
                            name="chapter"
                            value={item.chapter}
                            onChange={(e) => change({ chapter: e.target.value })}
                        />
                    </>
                )}
                <Field
                    label="What"
                    name="title"
                    className="col-span-2"
                    value={item.title}
                    onChange={(e) => change({ title: e.target.value })}
                />
                <Pick label="Whichever comes" value={item.rule} onChange={(v) => change({ rule: v })}>
                    <option value="first">first</option>
                    <option value="last">last</option>
                </Pick>
                <Pick label="The next one counts" value={item.rebase} onChange={(v) => change({ rebase: v })}>
                    <option value="planned">from the plan: late work gains nothing</option>
                    <option value="actual">from when it was done</option>
                </Pick>
                <Pick
                    label="Done on"
                    value={item.component ?? ''}
                    onChange={(v) => change({ component: v === '' ? undefined : v })}
                >
                    <option value="">the aircraft</option>
                    {programme.components.map((c) => (
                        <option key={c} value={c}>
                            every {c}, wherever it goes
                        </option>
                    ))}
                </Pick>
                <Pick label="Card" value={item.card} onChange={(v) => change({ card: v })}>
                    {programme.cards.map((c) => (
                        <option key={c.code} value={c.code}>
                            {c.code} {c.title}
                        </option>
                    ))}
                </Pick>
            </div>
            <ItemSet
                own={item.card}
                cards={item.cards ?? []}
                known={programme.cards}
                onChange={(cards) => change({ cards })}
            />
            <h3 className="mt-5 border-b border-rule pb-1 font-semibold">Limits</h3>
            {item.limits.map((l, n) => (
                <div
                    // biome-ignore lint/suspicious/noArrayIndexKey: limits have no other name while they are edited
                    key={n}
                    className="mt-3 flex flex-wrap items-end gap-x-3 gap-y-2 border-b border-rule/60 pb-3"
                    data-limit={n}
                >
                    <Pick label="Unit" className="w-28" value={l.unit} onChange={(v) => limit(n, { unit: v })}>
                        {limitUnits.map((u) => (
                            <option key={u}>{u}</option>
                        ))}
                    </Pick>
                    <Small label="Interval" value={l.interval} onChange={(v) => limit(n, { interval: v })} />
                    <Small label="First at" value={l.threshold} onChange={(v) => limit(n, { threshold: v })} />
                    <Slack label="Tolerance" value={l.tolerance} onChange={(v) => limit(n, { tolerance: v })} />
                    <Slack label="Early" value={l.early} onChange={(v) => limit(n, { early: v })} />
                    {item.limits.length > 1 && (
                        <Button
                            kind="quiet"
                            className="text-sm"
                            onClick={() => change({ limits: item.limits.filter((_, i) => i !== n) })}
                        >
                            remove
                        </Button>
                    )}
                </div>
            ))}
            <Button
                kind="quiet"
                className="mt-2 text-sm"
                onClick={() => change({ limits: [...item.limits, { unit: 'months', interval: '12' }] })}
            >
                Another limit
            </Button>
            {programme.conditions.length > 0 && (
                <div className="mt-4 flex flex-wrap items-end gap-3">
                    <b className="pb-2">Under harsh use, intervals times</b>
                    {programme.conditions.map((c) => (
                        <Small
                            key={c}
                            label={c}
                            value={item.harsh?.[c]}
                            onChange={(v) => change({ harsh: { ...item.harsh, [c]: v } })}
                        />
                    ))}
                </div>
            )}
            {row && (
                <label className="mt-4 flex min-h-10 items-center gap-2">
                    <input
                        type="checkbox"
                        className="size-6 accent-spruce"
                        checked={item.withdrawn === true}
                        onChange={(e) => change({ withdrawn: e.target.checked ? true : undefined })}
                    />
                    withdrawn: no longer in force; what was done by it stays in the record
                </label>
            )}
            <Looking of={looking} onLook={look} onClose={onClose} />
        </Dialog>
    );
}
