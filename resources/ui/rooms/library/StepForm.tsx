import type { Schemas } from '../../api/client';
import { box, CardText as Text } from './CardText';
import { got, isBlock, put, type Step } from './card';
import { Effects } from './Effects';
import { RigModel } from './RigModel';
import { SpecFields as Fields } from './SpecFields';
import { StepFigure } from './StepFigure';
import { commonOf, fields, kinds } from './stepFields';

type Faults = Schemas['FaultView'][];

/** One step as it is written: its kind, its words, then what its kind holds; the rest is folded away. */
export function StepForm({
    type,
    step,
    at,
    choices,
    faults,
    onChange,
}: {
    type: string;
    step: Step;
    at: string;
    choices: Schemas['CardChoices'];
    faults: Faults;
    onChange: (step: Step, typing: string | null) => void;
}) {
    const spec = step.spec ?? {};
    const set = (path: string, value: unknown, typing: boolean) =>
        onChange({ ...step, spec: put(spec, path, value) }, typing ? path : null);
    const of = (path: string) => {
        const whole = `${at}.${path}`;
        return faults.find((f) => f.path === whole || f.path.startsWith(`${whole}.`))?.message;
    };
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
            {step.kind === 'rig' && <Effects spec={spec} fault={of('spec.effects')} set={set} />}
            {step.kind === 'rig' && <RigModel spec={spec} fault={of('spec.drawing')} set={set} />}
            {!isBlock(step.kind) && (
                <StepFigure type={type} spec={spec} choices={choices} fault={of('spec.figure')} set={set} />
            )}
            {step.kind !== 'each' &&
                commonOf(step.kind).map((c) => (
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
