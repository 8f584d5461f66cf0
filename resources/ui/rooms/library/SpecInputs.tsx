import { box, Wrong } from './CardText';
import { number } from './card';
import type { Field } from './stepFields';

export type Setter = (path: string, value: unknown, typing: boolean) => void;
type Input = { field: Field; value: unknown; set: Setter };
type Listed = { list: readonly string[]; fault: string | undefined };

/** True, or not there at all. */
export function Yes({ field: f, value, set }: Input) {
    return (
        <label className="flex min-h-10 items-center gap-2">
            <input
                type="checkbox"
                name={f.at}
                className="size-6 shrink-0 accent-spruce"
                checked={value === true}
                onChange={(e) => set(f.at, e.target.checked ? true : undefined, false)}
            />
            {f.label}
        </label>
    );
}

/** One of a list, or none. */
export function PickOne({ field: f, list, value, fault, set }: Input & Listed) {
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

/** Any number of a short list. */
export function Some({ field: f, list, value, fault, set }: Input & Listed) {
    const chosen = (value as string[] | undefined) ?? [];
    return (
        <fieldset>
            <legend className="mb-0.5 text-sm font-semibold">{f.label}</legend>
            <div className="flex flex-wrap gap-x-4">
                {list.map((o) => (
                    <label key={o} className="flex min-h-10 items-center gap-2">
                        <input
                            type="checkbox"
                            name={f.at}
                            value={o}
                            className="size-6 accent-spruce"
                            checked={chosen.includes(o)}
                            onChange={(e) =>
                                set(f.at, e.target.checked ? [...chosen, o] : chosen.filter((c) => c !== o), false)
                            }
                        />
                        {o.replaceAll('_', ' ')}
                    </label>
                ))}
            </div>
            <Wrong fault={fault} />
        </fieldset>
    );
}
