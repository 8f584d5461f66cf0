import type { Asked, Schemas } from '../../api/client';
import { Check } from '../../parts/Check';
import { Field } from '../../parts/Field';
import { Pick } from '../../parts/Pick';

export type As = Omit<Asked<'changePerson'>, 'version'>;

const week = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Where, when and as what somebody works. */
export function PersonFields({
    as,
    choices,
    set,
}: {
    as: As;
    choices: Schemas['ChoicesView'];
    set: (part: Partial<As>) => void;
}) {
    return (
        <div className="grid grid-cols-2 gap-x-4 gap-y-3">
            <Field label="Name" name="name" value={as.name} onChange={(e) => set({ name: e.target.value })} />
            <Field
                label="Stamp"
                name="stamp"
                value={as.stamp}
                onChange={(e) => set({ stamp: e.target.value.toUpperCase() })}
            />
            <Pick big label="Role" name="role" value={as.role} onChange={(v) => set({ role: v as As['role'] })}>
                {choices.roles.map((r) => (
                    <option key={r}>{r}</option>
                ))}
            </Pick>
            <Pick big label="Base" name="base" value={as.base} onChange={(v) => set({ base: v })}>
                {choices.bases.map((b) => (
                    <option key={b}>{b}</option>
                ))}
            </Pick>
            <Pick big label="Shift" name="shift" value={as.shift} onChange={(v) => set({ shift: v })}>
                {choices.shifts.map((s) => (
                    <option key={s}>{s}</option>
                ))}
            </Pick>
            <fieldset>
                <legend className="mb-1 font-semibold">Works on</legend>
                <div className="flex flex-wrap gap-1">
                    {week.map((name, i) => {
                        const on = as.weekdays.includes(i + 1);
                        return (
                            <button
                                key={name}
                                type="button"
                                aria-pressed={on}
                                className={`min-h-12 min-w-12 rounded-lg border px-2 ${on ? 'border-ink bg-ink font-semibold text-paper' : 'border-soft text-soft'}`}
                                onClick={() =>
                                    set({
                                        weekdays: on
                                            ? as.weekdays.filter((d) => d !== i + 1)
                                            : [...as.weekdays, i + 1].sort(),
                                    })
                                }
                            >
                                {name}
                            </button>
                        );
                    })}
                </div>
            </fieldset>
            <Check
                name="trainee"
                className="self-end font-semibold"
                checked={as.trainee}
                onChange={(trainee) => set({ trainee, supervisor: null })}
            >
                Trainee
            </Check>
            {as.trainee && (
                <Pick
                    big
                    label="Works under"
                    name="supervisor"
                    value={as.supervisor ?? ''}
                    onChange={(v) => set({ supervisor: v === '' ? null : Number(v) })}
                >
                    <option value="">choose the supervisor</option>
                    {choices.supervisors.map((s) => (
                        <option key={s.id} value={s.id}>
                            {s.name}
                        </option>
                    ))}
                </Pick>
            )}
        </div>
    );
}
