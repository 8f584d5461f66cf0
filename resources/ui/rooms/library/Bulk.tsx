import { useState } from 'react';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useLook, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Actions, Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';

type Change = Asked<'bulkCards'>;

const what: { value: Change['what']; name: string }[] = [
    { value: 'tool_kind', name: 'a kind of tool' },
    { value: 'part', name: 'a part' },
    { value: 'product', name: 'a product' },
    { value: 'section', name: 'a passage' },
];

/** One thing in place of another in many cards: looked at first, then a draft of each. */
export function Bulk({ types, onClose }: { types: string[]; onClose: () => void }) {
    const [type, setType] = useState(types[0] ?? '');
    const [kind, setKind] = useState<Change['what']>('tool_kind');
    const { values, bind } = useFields({ from: '', to: '' });
    const [view, setView] = useState<Schemas['BulkView'] | null>(null);
    const [made, setMade] = useState(false);
    const path = { params: { path: { type } } };
    const look = useLook((body: Change) => take(api.POST('/api/library/card-sets/{type}/bulk', { ...path, body })));
    const save = useSend(
        (body: Change, headers) => take(api.POST('/api/library/card-sets/{type}/bulk', { ...path, body, headers })),
        (v) => {
            setView(v);
            setMade(true);
        },
        { affects: touches.library },
    );
    const change = { what: kind, from: values.from.trim(), to: values.to.trim() };
    return (
        <Dialog open onClose={onClose} title="Change many cards at once" wide>
            <div className="grid grid-cols-2 gap-3">
                <Pick label="Type" value={type} onChange={setType}>
                    {types.map((t) => (
                        <option key={t}>{t}</option>
                    ))}
                </Pick>
                <Pick label="Put another" value={kind} onChange={(v) => setKind(v as Change['what'])}>
                    {what.map((w) => (
                        <option key={w.value} value={w.value}>
                            {w.name}
                        </option>
                    ))}
                </Pick>
                <Field label="In place of" {...bind('from')} />
                <Field label="This one" {...bind('to')} />
            </div>
            {view && (
                <div className="mt-4" data-testid="bulk">
                    <p className="font-semibold">{made ? `Done: ${view.sentence}` : view.sentence}</p>
                    <ul className="mt-1 max-h-60 overflow-auto">
                        {view.rows.map((r) => (
                            <li key={r.code} className="border-b border-rule/60 py-1">
                                <b className="font-mono">{r.code}</b> {r.title}
                                <span className="text-soft">
                                    {' '}
                                    · {r.was} → {r.is}
                                    {r.why && `; ${r.why}`}
                                </span>
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            <Trouble error={look.error ?? save.error} />
            <Actions>
                <Button
                    big
                    disabled={change.from === '' || change.to === '' || look.isPending}
                    onClick={() => {
                        setMade(false);
                        look.mutate(change, { onSuccess: setView });
                    }}
                >
                    What does it do?
                </Button>
                <Button
                    kind="main"
                    big
                    disabled={view === null || made || view.rows.every((r) => r.why !== null) || save.isPending}
                    onClick={() => save.mutate({ ...change, save: true })}
                >
                    Make the drafts
                </Button>
            </Actions>
        </Dialog>
    );
}
