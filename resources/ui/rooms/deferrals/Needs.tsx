import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Section, Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { Glyph } from '../../parts/State';

type Change = { need: number; do: 'expected' | 'there' | 'drop'; expected?: string | null };

/** What the closure waits for: parts by the store's own dates, tools, people, answers; and what is known of each. */
export function Needs({ page: p }: { page: Schemas['DeferralPage'] }) {
    const [adding, setAdding] = useState(false);
    const [dating, setDating] = useState<Schemas['NeedView'] | null>(null);
    const change = useSend(({ need, ...body }: Change, headers) =>
        take(api.POST('/api/deferral-needs/{id}', { params: { path: { id: need } }, body, headers })),
    );
    const may = p.may.includes('needs');
    return (
        <Section
            title="What it waits for"
            aside={
                may && (
                    <Button kind="quiet" className="noprint text-sm" onClick={() => setAdding(true)}>
                        add
                    </Button>
                )
            }
        >
            {p.deferral.needs.length === 0 && <p className="py-1 text-soft">Nothing: it waits only for its stay.</p>}
            <ul>
                {p.deferral.needs.map((n) => (
                    <li key={n.id} className="flex items-start justify-between gap-3 border-b border-rule/60 py-1.5">
                        <span>
                            <Glyph state={n.state} size={13} /> <b>{n.what}</b>{' '}
                            <span className="text-soft">
                                {n.kind}, {n.said}
                            </span>
                        </span>
                        {may && (
                            <span className="noprint flex shrink-0">
                                {!n.there && n.kind !== 'part' && n.kind !== 'extension' && (
                                    <Button
                                        kind="quiet"
                                        className="text-sm"
                                        disabled={change.isPending}
                                        onClick={() => change.mutate({ need: n.id, do: 'there' })}
                                    >
                                        is there
                                    </Button>
                                )}
                                {n.kind !== 'extension' && (
                                    <Button kind="quiet" className="text-sm" onClick={() => setDating(n)}>
                                        date
                                    </Button>
                                )}
                                <Button
                                    kind="quiet"
                                    className="text-sm"
                                    disabled={change.isPending}
                                    onClick={() => change.mutate({ need: n.id, do: 'drop' })}
                                >
                                    remove
                                </Button>
                            </span>
                        )}
                    </li>
                ))}
            </ul>
            <Trouble error={change.error} />
            {adding && <Add id={p.deferral.id} onClose={() => setAdding(false)} />}
            {dating && <When need={dating} onClose={() => setDating(null)} />}
        </Section>
    );
}

type Kind = 'part' | 'tool' | 'people' | 'answer';

function Add({ id, onClose }: { id: number; onClose: () => void }) {
    const [kind, setKind] = useState<Kind>('part');
    const [what, setWhat] = useState('');
    const [quantity, setQuantity] = useState('1');
    const [expected, setExpected] = useState('');
    const send = useSend(
        (body: { kind: Kind; what: string; quantity: number; expected: string | null }, headers) =>
            take(api.POST('/api/deferrals/{id}/needs', { params: { path: { id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title="What its closure waits for"
            action="Add it"
            ready={what.trim() !== '' && Number(quantity) > 0}
            send={send}
            onSend={() => send.mutate({ kind, what, quantity: Number(quantity), expected: expected || null })}
            onClose={onClose}
        >
            <Pick big label="It is" name="kind" value={kind} onChange={(v) => setKind(v as Kind)}>
                <option value="part">a part</option>
                <option value="tool">a tool</option>
                <option value="people">people</option>
                <option value="answer">an answer</option>
            </Pick>
            <Field
                label={kind === 'part' ? 'Part number' : 'What'}
                name="what"
                value={what}
                onChange={(e) => setWhat(e.target.value)}
            />
            {kind === 'part' && (
                <Field
                    label="How many"
                    name="quantity"
                    inputMode="numeric"
                    value={quantity}
                    onChange={(e) => setQuantity(e.target.value)}
                />
            )}
            <Field
                type="date"
                label="Expected on"
                hint={
                    kind === 'part'
                        ? 'Leave it blank: the store knows what is in stock and on order.'
                        : 'Blank while nobody knows.'
                }
                name="expected"
                value={expected}
                onChange={(e) => setExpected(e.target.value)}
            />
        </FormDialog>
    );
}

function When({ need, onClose }: { need: Schemas['NeedView']; onClose: () => void }) {
    const [expected, setExpected] = useState(need.on ?? '');
    const send = useSend(
        (body: { do: 'expected'; expected: string | null }, headers) =>
            take(api.POST('/api/deferral-needs/{id}', { params: { path: { id: need.id } }, body, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={need.what}
            action="Save"
            ready
            send={send}
            onSend={() => send.mutate({ do: 'expected', expected: expected || null })}
            onClose={onClose}
        >
            <Field
                type="date"
                label="Expected on"
                hint="Blank while nobody knows."
                name="expected"
                value={expected}
                onChange={(e) => setExpected(e.target.value)}
            />
        </FormDialog>
    );
}
