import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { CardText as Text, Wrong } from './CardText';
import { got, lines, number, points, put } from './card';
import { PickOne, type Setter, Some, Yes } from './SpecInputs';
import type { Field } from './stepFields';

type Choices = Schemas['CardChoices'];
type Values = Record<string, unknown>;
/** What is wrong at a path, or within it. */
type FaultAt = (path: string) => string | undefined;
type Props = { field: Field; choices: Choices; faultAt: FaultAt; set: Setter };

/** The fields of a step's kind, two in a row; those that others make needless are not there. */
export function SpecFields({
    list,
    values,
    choices,
    fault,
    set,
}: {
    list: readonly Field[];
    values: Values;
    fault: FaultAt;
} & Pick<Props, 'choices' | 'set'>) {
    const shown = list.filter((f) => !f.when || f.when[1].includes(String(got(values, f.when[0]) ?? '')));
    return (
        <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
            {shown.map((f) => (
                <div
                    key={f.at}
                    className={['lines', 'long', 'rows', 'points', 'some', 'groups'].includes(f.as) ? 'col-span-2' : ''}
                >
                    <One field={f} value={got(values, f.at)} choices={choices} faultAt={fault} set={set} />
                </div>
            ))}
        </div>
    );
}

const listOf = (f: Field, choices: Choices): readonly string[] =>
    typeof f.of === 'string' ? (choices[f.of] as string[]) : (f.of ?? []);

function One({ field: f, value, choices, faultAt, set }: Props & { value: unknown }) {
    const list = listOf(f, choices);
    const fault = faultAt(f.at);
    if (f.as === 'yes') {
        return <Yes field={f} value={value} set={set} />;
    }
    if (f.as === 'pick') {
        return <PickOne field={f} list={list} value={value} fault={fault} set={set} />;
    }
    if (f.as === 'some') {
        return <Some field={f} list={list} value={value} fault={fault} set={set} />;
    }
    if (f.as === 'rows') {
        return (
            <Rows
                field={f}
                value={(value as Values[] | undefined) ?? []}
                choices={choices}
                faultAt={faultAt}
                set={set}
            />
        );
    }
    const text =
        f.as === 'lines'
            ? ((value as string[] | undefined) ?? []).join('\n')
            : f.as === 'points'
              ? ((value as { id: string; place: string }[] | undefined) ?? [])
                    .map((p) => `${p.id}, ${p.place}`)
                    .join('\n')
              : f.as === 'groups'
                ? ((value as string[][] | undefined) ?? []).map((g) => g.join(', ')).join('\n')
                : String(value ?? '');
    const parse = (v: string): unknown =>
        f.as === 'lines'
            ? lines(v)
            : f.as === 'points'
              ? points(v)
              : f.as === 'groups'
                ? lines(v)?.map((l) => l.split(',').map((id) => id.trim()))
                : f.as === 'number'
                  ? number(v)
                  : f.as === 'suggest' && (f.of === 'parts' || f.of === 'cards')
                    ? v.split(' ')[0] || undefined
                    : v || undefined;
    return (
        <Text
            label={f.label}
            name={f.at}
            hint={f.hint}
            long={['long', 'lines', 'points', 'groups'].includes(f.as)}
            value={text}
            suggest={f.as === 'suggest' || f.as === 'lines' ? list : undefined}
            fault={fault}
            onChange={(v) => set(f.at, parse(v), true)}
        />
    );
}

/** Some lines of a table: one row each, with its own fields. */
function Rows({ field: f, value, choices, faultAt, set }: Props & { value: Values[] }) {
    // What is wrong in a field of a row stands at that field; of the row itself, under it; of all of them, last.
    const within = (n: number) => f.rows?.map((r) => faultAt(`${f.at}.${n}.${r.at}`)).find(Boolean);
    const all = (rows: Values[], typing: boolean) => set(f.at, rows.length === 0 ? undefined : rows, typing);
    return (
        <fieldset>
            <legend className="text-sm font-semibold">{f.label}</legend>
            {value.map((one, n) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name while they are written
                <div key={n} className="mt-1 flex items-start gap-2 border-b border-rule/60 pb-2">
                    <div className="flex-1">
                        <SpecFields
                            list={f.rows ?? []}
                            values={one}
                            choices={choices}
                            fault={(path) => faultAt(`${f.at}.${n}.${path}`)}
                            set={(path, v, typing) =>
                                all(
                                    value.map((r, i) => (i === n ? put(r, path, v) : r)),
                                    typing,
                                )
                            }
                        />
                        {within(n) === undefined && <Wrong fault={faultAt(`${f.at}.${n}`)} />}
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
            {value.every((_, n) => faultAt(`${f.at}.${n}`) === undefined) && <Wrong fault={faultAt(f.at)} />}
        </fieldset>
    );
}

/** A new row; what it lacks is named at its fields, and nothing is chosen for whoever writes it. */
const blank = (f: Field): Values => Object.fromEntries(f.rows?.slice(0, 1).map((r) => [r.at, '']) ?? []);
