import type { Schemas } from '../../api/client';
import { box, CardText, Wrong } from './CardText';
import { type Body, got, lines, number, put } from './card';

type Choices = Schemas['CardChoices'];
type Kind = 'text' | 'number' | 'pick' | 'lines' | 'pairs' | 'yes';

/** What a card says of itself and what it needs, above its steps. */
const head: { at: string; label: string; as: Kind; of?: keyof Choices | readonly string[]; wide?: boolean }[] = [
    { at: 'code', label: 'Card', as: 'text' },
    { at: 'title', label: 'Title', as: 'text', wide: true },
    { at: 'manual', label: 'Manual', as: 'pick', of: 'manuals' },
    { at: 'revision', label: 'Revision', as: 'number' },
    { at: 'section', label: 'Passage', as: 'text' },
    { at: 'chapter', label: 'Chapter', as: 'text' },
    { at: 'skill', label: 'Skill', as: 'text' },
    { at: 'hours', label: 'Hours', as: 'number' },
    { at: 'zone', label: 'Zone', as: 'pick', of: 'zones' },
    {
        at: 'stage',
        label: 'Stage',
        as: 'pick',
        of: ['induct', 'safe', 'open', 'look', 'fix', 'close', 'test', 'release'],
    },
    { at: 'configuration.power', label: 'Power', as: 'pick', of: ['', 'on', 'off'] },
    { at: 'configuration.hydraulics', label: 'Hydraulics', as: 'pick', of: ['', 'on', 'off'] },
    { at: 'configuration.jacks', label: 'Jacks', as: 'pick', of: ['', 'on', 'off'] },
    { at: 'independent_inspection', label: 'Independent inspection of the whole card', as: 'yes' },
    { at: 'covers', label: 'What it looks at, one a line', as: 'lines' },
    { at: 'systems', label: 'Systems it touches, one a line', as: 'lines', of: 'systems' },
    { at: 'needs', label: 'People, "skill: how many" a line', as: 'pairs' },
    { at: 'parts', label: 'Parts, "number: how many" a line', as: 'pairs' },
    { at: 'panels', label: 'Panels, one a line', as: 'lines', of: 'panels' },
    { at: 'ground', label: 'Ground equipment, one a line', as: 'lines' },
    { at: 'after', label: 'After which cards, one a line', as: 'lines' },
];

const pairs = (text: string): Record<string, number | string> | undefined => {
    const out = Object.fromEntries(
        (lines(text) ?? []).map((l) => {
            const [name = '', many = ''] = l.split(':');
            return [name.trim(), number(many) ?? ''];
        }),
    );
    return Object.keys(out).length === 0 ? undefined : out;
};

const parsed: Record<Kind, (v: string) => unknown> = {
    text: (v) => v || undefined,
    pick: (v) => v || undefined,
    yes: (v) => v || undefined,
    number,
    lines,
    pairs,
};

const text = (value: unknown, as: Kind): string =>
    as === 'lines'
        ? ((value as string[] | undefined) ?? []).join('\n')
        : as === 'pairs'
          ? Object.entries((value as Record<string, unknown> | undefined) ?? {})
                .map(([k, v]) => `${k}: ${String(v)}`)
                .join('\n')
          : String(value ?? '');

export function CardHead({
    body,
    fixed,
    choices,
    faults,
    onChange,
}: {
    body: Body;
    /** The card has its number already. */
    fixed: boolean;
    choices: Choices;
    faults: Schemas['FaultView'][];
    onChange: (body: Body, typing: string | null) => void;
}) {
    return (
        <div className="grid grid-cols-2 gap-x-3 gap-y-2.5" data-testid="card-head">
            {head.map((f) => {
                const value = got(body, f.at);
                const fault = faults.find((x) => x.path === f.at || x.path.startsWith(`${f.at}.`))?.message;
                const set = (v: unknown, typing: boolean) => onChange(put(body, f.at, v) as Body, typing ? f.at : null);
                const list = typeof f.of === 'string' ? (choices[f.of] as string[]) : (f.of ?? []);
                if (f.as === 'yes') {
                    return (
                        <label key={f.at} className="col-span-2 flex min-h-10 items-center gap-2">
                            <input
                                type="checkbox"
                                className="size-6 accent-spruce"
                                checked={value === true}
                                onChange={(e) => set(e.target.checked ? true : undefined, false)}
                            />
                            {f.label}
                        </label>
                    );
                }
                if (f.as === 'pick') {
                    return (
                        <label key={f.at} className="block">
                            <span className="mb-0.5 block text-sm font-semibold">{f.label}</span>
                            <select
                                name={f.at}
                                className={`${box} h-10 ${fault ? 'border-rust' : 'border-soft'}`}
                                value={text(value, f.as)}
                                onChange={(e) => set(e.target.value || undefined, false)}
                            >
                                {[...new Set([text(value, f.as), ...list])].map((o) => (
                                    <option key={o}>{o}</option>
                                ))}
                            </select>
                            <Wrong fault={fault} />
                        </label>
                    );
                }
                return (
                    <div key={f.at} className={f.wide ? 'col-span-2' : ''}>
                        {f.at === 'code' && fixed ? (
                            <p>
                                <span className="mb-0.5 block text-sm font-semibold">{f.label}</span>
                                <b className="font-mono leading-10">{text(value, f.as)}</b>
                            </p>
                        ) : (
                            <CardText
                                label={f.label}
                                name={f.at}
                                long={f.as === 'lines' || f.as === 'pairs'}
                                value={text(value, f.as)}
                                suggest={f.as === 'lines' ? list : undefined}
                                fault={fault}
                                onChange={(v) => set(parsed[f.as](v), true)}
                            />
                        )}
                    </div>
                );
            })}
        </div>
    );
}
