import type { Schemas } from '../../api/client';
import { useFigures } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Figure, type FigureMark } from '../../parts/Figure';
import { box, Wrong } from './CardText';
import { got } from './card';
import type { Setter } from './SpecInputs';

/** The drawing that a step shows, with the places marked on it: touched there, then said what it is. */
export function StepFigure({
    type,
    spec,
    choices,
    fault,
    set,
}: {
    type: string;
    spec: Record<string, unknown>;
    choices: Schemas['CardChoices'];
    fault: string | undefined;
    set: Setter;
}) {
    const code = String(got(spec, 'figure.code') ?? '');
    const figure = useFigures(type).data?.find((f) => f.code === code);
    const marks = (got(spec, 'figure.marks') as FigureMark[] | undefined) ?? [];
    const all = (next: FigureMark[], typing = false) =>
        set('figure.marks', next.length === 0 ? undefined : next, typing);
    return (
        <details open={code !== ''}>
            <summary className="min-h-10 cursor-pointer py-2 font-semibold">Figure</summary>
            <div className="space-y-2 border-l-2 border-rule pb-2 pl-3">
                <label className="block">
                    <span className="mb-0.5 block text-sm font-semibold">Its drawing</span>
                    <select
                        name="figure.code"
                        className={`${box} h-10 ${fault ? 'border-rust' : 'border-soft'}`}
                        value={code}
                        onChange={(e) =>
                            e.target.value === ''
                                ? set('figure', undefined, false)
                                : set('figure.code', e.target.value, false)
                        }
                    >
                        <option value="">none</option>
                        {choices.figures.map((f) => (
                            <option key={f}>{f}</option>
                        ))}
                    </select>
                    <Wrong fault={fault} />
                </label>
                {figure && (
                    <>
                        <p className="text-sm text-soft">Touch a place to mark it, and say what it is.</p>
                        <Figure figure={figure} marks={marks} onPick={(at) => all([...marks, { at, says: '?' }])} />
                        {marks.map((m, i) => (
                            // biome-ignore lint/suspicious/noArrayIndexKey: marks have no name but their number
                            <div key={i} className="flex items-center gap-2">
                                <b className="w-6 font-mono">{i + 1}</b>
                                <input
                                    aria-label={`Mark ${i + 1}`}
                                    name={`mark-${i}`}
                                    className={`${box} h-10 border-soft`}
                                    value={m.says}
                                    onFocus={(e) => e.target.select()}
                                    onChange={(e) =>
                                        all(
                                            marks.map((o, k) => (k === i ? { ...o, says: e.target.value } : o)),
                                            true,
                                        )
                                    }
                                />
                                <Button onClick={() => all(marks.filter((_, k) => k !== i))}>Remove</Button>
                            </div>
                        ))}
                    </>
                )}
            </div>
        </details>
    );
}
