import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { box, CardText as Text, Wrong } from './CardText';
import { got, lines, number, points, put, type Step } from './card';
import { common, type Field, fields, kinds } from './stepFields';

type Choices = Schemas['CardChoices'];
type Values = Record<string, unknown>;
type Faults = Schemas['FaultView'][];

/** One step as it is written: its kind, its words, then what its kind holds; the rest is folded away. */
export function StepForm({
    step,
    at,
    choices,
    faults,
    onChange,
}: {
    step: Step;
    at: string;
    choices: Choices;
    faults: Faults;
    onChange: (step: Step, typing: string | null) => void;
}) {
    const spec = step.spec ?? {};
    const set = (path: string, value: unknown, typing: boolean) =>
        onChange({ ...step, spec: put(spec, path, value) }, typing ? path : null);
    const of = (path: string) => faults.find((f) => f.path === `${at}.${path}`)?.message;
    return (
        <div className="space-y-3" data-testid="step-form">
            <label className="block">
                <span className="mb-0.5 block text-sm font-semibold">Kind</span>
                <select
                    name="kind"
                    className={`${box} h-10 border-soft`}
                    value={step.kind}
                    onChange={(e) => onChange({ ...step, kind: e.target.value, spec: {} }, null)}
                >
                    {kinds.map((k) => (
                        <option key={k} value={k}>
                            {k.replace('_', ' ')}
                        </option>
                    ))}
                </select>
            </label>
            <Text
                label="Title"
                name="title"
                first={step.title === ''}
                value={step.title}
                fault={of('title')}
                onChange={(v) => onChange({ ...step, title: v }, 'title')}
            />
            {step.kind !== 'each' && (
                <Text
                    label="Text"
                    name="text"
                    long
                    value={step.text ?? ''}
                    fault={of('text')}
                    onChange={(v) => onChange({ ...step, text: v }, 'text')}
                />
            )}
            <Fields
                list={fields[step.kind] ?? []}
                values={spec}
                choices={choices}
                fault={(p) => of(`spec.${p}`)}
                set={set}
            />
            {step.kind === 'rig' && (
                <Json spec={spec} onChange={(value) => onChange({ ...step, spec: value }, 'json')} />
            )}
            {step.kind !== 'each' &&
                common.map((c) => (
                    <details key={c.title} open={c.fields.some((f) => got(spec, f.at) !== undefined)}>
                        <summary className="min-h-10 cursor-pointer py-2 font-semibold">{c.title}</summary>
                        <div className="space-y-3 border-l-2 border-rule pb-2 pl-3">
                            <Fields
                                list={c.fields}
                                values={spec}
                                choices={choices}
                                fault={(p) => of(`spec.${p}`)}
                                set={set}
                            />
                        </div>
                    </details>
                ))}
        </div>
    );
}

function Fields({
    list,
    values,
    choices,
    fault,
    set,
}: {
    list: readonly Field[];
    values: Values;
    choices: Choices;
    fault: (path: string) => string | undefined;
    set: (path: string, value: unknown, typing: boolean) => void;
}) {
    const shown = list.filter((f) => !f.when || f.when[1].includes(String(got(values, f.when[0]) ?? '')));
    return (
        <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
            {shown.map((f) => (
                <div key={f.at} className={['lines', 'long', 'rows', 'points'].includes(f.as) ? 'col-span-2' : ''}>
                    <One field={f} value={got(values, f.at)} choices={choices} fault={fault(f.at)} set={set} />
                </div>
            ))}
        </div>
    );
}

const listOf = (f: Field, choices: Choices): readonly string[] =>
    typeof f.of === 'string' ? (choices[f.of] as string[]) : (f.of ?? []);

function One({
    field: f,
    value,
    choices,
    fault,
    set,
}: {
    field: Field;
    value: unknown;
    choices: Choices;
    fault?: string;
    set: (path: string, value: unknown, typing: boolean) => void;
}) {
    const list = listOf(f, choices);
    if (f.as === 'yes') {
        return (
            <label className="flex min-h-10 items-center gap-2">
                <input
                    type="checkbox"
                    name={f.at}
                    className="size-6 accent-spruce"
                    checked={value === true}
                    onChange={(e) => set(f.at, e.target.checked ? true : undefined, false)}
                />
                {f.label}
            </label>
        );
    }
    if (f.as === 'pick') {
        const all = list.includes('') ? list : ['', ...list];
        return (
            <label className="block">
                <span className="mb-0.5 block text-sm font-semibold">{f.label}</span>
                <select
                    name={f.at}
                    className={`${box} h-10 ${fault ? 'border-rust' : 'border-soft'}`}
                    value={String(value ?? '')}
                    onChange={(e) =>
                        set(f.at, f.at === 'fraction' ? number(e.target.value) : e.target.value || undefined, false)
                    }
                >
                    {all.map((o) => (
                        <option key={o} value={o}>
                            {o.replaceAll('_', ' ')}
                        </option>
                    ))}
                </select>
                <Wrong fault={fault} />
            </label>
        );
    }
    if (f.as === 'rows') {
        return (
            <Rows field={f} value={(value as Values[] | undefined) ?? []} choices={choices} fault={fault} set={set} />
        );
    }
    const text =
        f.as === 'lines'
            ? ((value as string[] | undefined) ?? []).join('\n')
            : f.as === 'points'
              ? ((value as { id: string; place: string }[] | undefined) ?? [])
                    .map((p) => `${p.id}, ${p.place}`)
                    .join('\n')
              : String(value ?? '');
    const parse = (v: string): unknown =>
        f.as === 'lines'
            ? lines(v)
            : f.as === 'points'
              ? points(v)
              : f.as === 'number'
                ? number(v)
                : f.as === 'suggest' && f.of === 'parts'
                  ? v.split(' ')[0] || undefined
                  : v || undefined;
    return (
        <Text
            label={f.label}
            name={f.at}
            hint={f.hint}
            long={f.as === 'long' || f.as === 'lines' || f.as === 'points'}
            value={text}
            suggest={f.as === 'suggest' || f.as === 'lines' ? list : undefined}
            fault={fault}
            onChange={(v) => set(f.at, parse(v), true)}
        />
    );
}

/** Some lines of a table: one row each, with its own fields. */
function Rows({
    field: f,
    value,
    choices,
    fault,
    set,
}: {
    field: Field;
    value: Values[];
    choices: Choices;
    fault?: string;
    set: (path: string, value: unknown, typing: boolean) => void;
}) {
    const all = (rows: Values[], typing: boolean) => set(f.at, rows.length === 0 ? undefined : rows, typing);
    return (
        <fieldset>
            <legend className="text-sm font-semibold">{f.label}</legend>
            {value.map((row, n) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name while they are written
                <div key={n} className="mt-1 flex items-start gap-2 border-b border-rule/60 pb-2">
                    <div className="flex-1">
                        <Fields
                            list={f.rows ?? []}
                            values={row}
                            choices={choices}
                            fault={() => undefined}
                            set={(path, v, typing) =>
                                all(
                                    value.map((r, i) => (i === n ? put(r, path, v) : r)),
                                    typing,
                                )
                            }
                        />
                    </div>
                    <Button
                        kind="quiet"
                        aria-label={`Remove row ${n + 1} of ${f.label}`}
                        onClick={() =>
                            all(
                                value.filter((_, i) => i !== n),
                                false,
                            )
                        }
                    >
                        ×
                    </Button>
                </div>
            ))}
            <Button kind="quiet" className="text-sm" onClick={() => all([...value, blank(f)], false)}>
                One more
            </Button>
            <Wrong fault={fault} />
        </fieldset>
    );
}

/** A new row with its required lists and choices begun, so that nothing is forgotten. */
const blank = (f: Field): Values =>
    f.at === 'disturbs'
        ? { what: '', how: 'parted', proofs: ['leak'] }
        : f.at === 'proves'
          ? { by: 'leak', of: [] }
          : { id: '', title: '', verdict: 'pass' };

/** A sheet with many numbers, as its file has it. */
function Json({ spec, onChange }: { spec: Values; onChange: (spec: Values) => void }) {
    const [bad, setBad] = useState<string>();
    return (
        <Text
            label="The sheet, as JSON"
            name="json"
            long
            value={JSON.stringify(spec, null, 1)}
            fault={bad}
            onChange={(v) => {
                try {
                    onChange(JSON.parse(v) as Values);
                    setBad(undefined);
                } catch (e) {
                    setBad(`is not JSON yet: ${(e as Error).message}`);
                }
            }}
        />
    );
}
