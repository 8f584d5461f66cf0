import { CalendarDays } from 'lucide-react';
import { type InputHTMLAttributes, useRef } from 'react';

const DATE = /^\d{4}-\d{2}-\d{2}$/;

/** Whether somebody has typed a whole date; until then it is theirs to finish. */
export const whole = (text: string): boolean => DATE.test(text);

/**
 * A date as it stands everywhere, year first, whatever the device's own order is: typed, or chosen from the device's calendar.
 * `onChange` hears both.
 */
export function DateInput({ className = '', what, ...rest }: InputHTMLAttributes<HTMLInputElement> & { what: string }) {
    const calendar = useRef<HTMLInputElement>(null);
    const value = String(rest.value ?? '');
    return (
        <span className="relative inline-flex w-full">
            <input
                {...rest}
                type="text"
                inputMode="numeric"
                autoComplete="off"
                placeholder="YYYY-MM-DD"
                pattern="\d{4}-\d{2}-\d{2}"
                title="Year, month, day: YYYY-MM-DD"
                className={`w-full pr-11 font-mono ${className}`}
            />
            <button
                type="button"
                aria-label={`Choose ${what} from a calendar`}
                disabled={rest.disabled}
                onClick={() => calendar.current?.showPicker()}
                className="absolute inset-y-0 right-0 flex w-11 items-center justify-center text-soft hover:text-ink disabled:opacity-40"
            >
                <CalendarDays size={18} aria-hidden="true" />
            </button>
            <input
                ref={calendar}
                type="date"
                tabIndex={-1}
                aria-hidden="true"
                value={whole(value) ? value : ''}
                onChange={rest.onChange}
                className="pointer-events-none absolute right-0 bottom-0 h-full w-11 opacity-0"
            />
        </span>
    );
}
