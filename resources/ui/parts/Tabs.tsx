import { NavLink } from 'react-router';

/** The views of one room, as links. */
export function Tabs({ label, tabs }: { label: string; tabs: readonly { to: string; name: string; end?: boolean }[] }) {
    return (
        <nav className="noprint mb-2 -ml-2.5 flex flex-wrap gap-x-1 gap-y-1" aria-label={label}>
            {tabs.map((t) => (
                <NavLink
                    key={t.to}
                    to={t.to}
                    end={t.end}
                    className={({ isActive }) =>
                        `flex min-h-8 items-center border-b-[3px] pointer-coarse:min-h-12 px-2.5 ${isActive ? 'border-spruce font-semibold text-ink' : 'border-transparent text-soft hover:text-ink'}`
                    }
                >
                    {t.name}
                </NavLink>
            ))}
        </nav>
    );
}

/** One of a few choices, as a row of buttons; big ones at the aircraft. */
export function Choice<T extends string | number>({
    label,
    options,
    value,
    onChange,
    big,
}: {
    label: string;
    options: readonly { value: T; name: string }[];
    value: T;
    onChange: (value: T) => void;
    big?: boolean;
}) {
    return (
        <fieldset className="flex items-center">
            <legend className="sr-only">{label}</legend>
            {options.map((o) => (
                <button
                    key={o.value}
                    type="button"
                    aria-pressed={o.value === value}
                    onClick={() => onChange(o.value)}
                    className={`${big ? 'min-h-12' : 'min-h-8 pointer-coarse:min-h-12'} rounded-lg px-3 ${o.value === value ? 'bg-ink font-semibold text-paper' : 'text-ink hover:bg-shade'}`}
                >
                    {o.name}
                </button>
            ))}
        </fieldset>
    );
}
