import { Wrong } from './CardText';
import { got, number } from './card';
import type { Setter } from './SpecInputs';

type Named = { id?: string; title?: string };

/** What one step of each adjuster does to each point: a line an adjuster, a column a point, empty for nothing. */
export function Effects({
    spec,
    fault,
    set,
}: {
    spec: Record<string, unknown>;
    fault: string | undefined;
    set: Setter;
}) {
    const points = ((spec.points as Named[] | undefined) ?? []).filter((p) => p.id);
    const adjusters = ((spec.adjusters as Named[] | undefined) ?? []).filter((a) => a.id);
    const effects = (spec.effects as Record<string, Record<string, unknown>> | undefined) ?? {};
    // Written whole, so that what no longer has a name goes with it.
    const change = (adjuster: string, point: string, text: string) =>
        set(
            'effects',
            Object.fromEntries(
                adjusters.map(({ id: a = '' }) => [
                    a,
                    Object.fromEntries(
                        points
                            .map(({ id: p = '' }) => [
                                p,
                                a === adjuster && p === point ? effect(text) : got(effects, `${a}.${p}`),
                            ])
                            .filter(([, v]) => v !== undefined),
                    ),
                ]),
            ),
            true,
        );
    return points.length === 0 || adjusters.length === 0 ? (
        <p className="text-soft">What turning does is entered once there are points and adjusters.</p>
    ) : (
        <fieldset>
            <legend className="text-sm font-semibold">
                What one unit of turning does to each point; “-1.1 ± 0.2” says how sure that is
            </legend>
            <table className="mt-1 w-full text-sm" data-testid="effects">
                <thead>
                    <tr>
                        <th />
                        {points.map((p) => (
                            <th key={p.id} className="px-1 text-left font-semibold">
                                {p.title || p.id}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {adjusters.map(({ id: a = '', title }) => (
                        <tr key={a}>
                            <th className="pr-2 text-left font-semibold">{title || a}</th>
                            {points.map(({ id: p = '', title: of }) => (
                                <td key={p} className="px-1 py-0.5">
                                    <Cell
                                        key={said(got(effects, `${a}.${p}`))}
                                        label={`${title || a}: ${of || p}`}
                                        value={said(got(effects, `${a}.${p}`))}
                                        onChange={(text) => change(a, p, text)}
                                    />
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
            <Wrong fault={fault} />
        </fieldset>
    );
}

/** "-1.1", or "-1.1 ± 0.2" where it is said how sure it is. */
const said = (value: unknown): string => {
    const is = value as { mean?: number; sd?: number } | number | string | undefined;
    return typeof is === 'object' && is !== null ? `${is.mean} ± ${is.sd}` : String(is ?? '');
};

const effect = (text: string): unknown => {
    const [mean, sd] = text.split('±');
    return sd === undefined ? number(text) : { mean: number((mean ?? '').trim()), sd: number(sd.trim()) };
};

/** Saved as one leaves it, so that a minus sign alone is no fault while one types. */
function Cell({ label, value, onChange }: { label: string; value: string; onChange: (text: string) => void }) {
    return (
        <input
            aria-label={label}
            inputMode="decimal"
            defaultValue={value}
            className="h-10 w-full rounded-lg border-2 border-soft bg-sheet px-2 font-mono"
            onBlur={(e) => e.target.value !== value && onChange(e.target.value)}
        />
    );
}
