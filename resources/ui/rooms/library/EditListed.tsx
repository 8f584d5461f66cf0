import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Check } from '../../parts/Check';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';
import { type Draft, draftOf, itemOf } from './listedItem';
import { Looking, useLooking } from './looking';

const blank = { category: 'C', installed: 1, required: 0 };

/**
 * One listed item changed, or a new one: it goes the way of a file, as the next revision, so that it is checked and
 * shown.
 */
export function EditListed({
    list,
    row,
    onClose,
}: {
    list: Schemas['ListedRoom'];
    row: Schemas['ListedRow'] | null;
    onClose: () => void;
}) {
    const source = (row?.source ?? {}) as Record<string, unknown>;
    const [draft, setDraft] = useState<Draft>(draftOf(row ? source : blank));
    const [summary, setSummary] = useState('');
    const looking = useLooking('listed');
    const set = (part: Partial<Draft>) => {
        setDraft({ ...draft, ...part });
        looking.setView(null);
    };
    const field = (name: keyof Draft & string) => ({
        name,
        value: String(draft[name]),
        onChange: (e: React.ChangeEvent<HTMLInputElement>) => set({ [name]: e.target.value }),
    });
    const area = (name: keyof Draft & string, label: string, hint?: string) => (
        <label className="block font-semibold">
            {label}
            <textarea
                name={name}
                rows={3}
                className="mt-1 w-full rounded-lg border-2 border-soft bg-sheet px-3 py-2 font-normal"
                value={String(draft[name])}
                onChange={(e) => set({ [name]: e.target.value })}
            />
            {hint && <span className="block text-sm font-normal text-soft">{hint}</span>}
        </label>
    );
    const look = () =>
        void looking.look(`${draft.code}, edited`, {
            type: list.type,
            revision: list.revision + 1,
            issued: list.today,
            summary: summary || `${draft.code} edited`,
            items: [itemOf(draft, source)],
        });
    return (
        <Dialog open onClose={onClose} title={row ? `${list.type} ${row.code}` : `A new item of the ${list.type}`} wide>
            <div className="grid grid-cols-2 gap-4">
                {!row && <Field label="Item" hint="78-L3" {...field('code')} />}
                <Field label="Chapter" hint="78-31" {...field('chapter')} />
                <Field label="What" className="col-span-2" {...field('title')} />
                <Field label="System" hint="Other items name it where they need it." {...field('system')} />
                <Field label="Placard" {...field('placard')} />
                <Pick label="Category" big value={draft.category} onChange={(category) => set({ category })}>
                    {['A', 'B', 'C', 'D'].map((c) => (
                        <option key={c}>{c}</option>
                    ))}
                </Pick>
                <div className="grid grid-cols-3 gap-2">
                    <Field label="Installed" inputMode="numeric" {...field('installed')} />
                    <Field label="Required" inputMode="numeric" {...field('required')} />
                    <Field label="At once" inputMode="numeric" {...field('carry')} />
                </div>
                {area('words', 'Words, one a line', 'One of them stands in a finding of this part of the system.')}
                {area('positions', 'Positions, one a line')}
                {area('limits', 'Limits, one a line', 'days=8, fh=20, ldg=12')}
                {area('forbid', 'No flight into, one a line', list.conditions.join(', '))}
                {area('restrict', 'Restrictions, one a line', 'max_altitude_ft=25000, min_runway_m=1700')}
                {area('needs', 'Systems that must work, one a line')}
                {area('conditions', 'Conditions')}
                {area('crew', 'What the crew does')}
                <Pick label="Card that makes it safe" big value={draft.safe} onChange={(safe) => set({ safe })}>
                    <option value="">none: the placard alone</option>
                    {list.cards.map((c) => (
                        <option key={c.code} value={c.code}>
                            {c.code} {c.title}
                        </option>
                    ))}
                </Pick>
                {area('closes', 'Cards that test it at closure, one a line')}
                {area('channels', 'Channels set back and compared, one a line')}
                <Field
                    label="What is changed, for the revision"
                    name="summary"
                    value={summary}
                    onChange={(e) => setSummary(e.target.value)}
                />
            </div>
            {row && (
                <Check name="withdrawn" checked={draft.withdrawn} onChange={(withdrawn) => set({ withdrawn })}>
                    withdrawn: nothing more is carried under it; what is carried goes on
                </Check>
            )}
            <Looking of={looking} onLook={look} onClose={onClose} />
        </Dialog>
    );
}
