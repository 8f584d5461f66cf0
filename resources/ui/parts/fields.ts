import { type ChangeEvent, useState } from 'react';

/** Texts of a form by the names of their fields. */
export function useFields<T extends Record<string, string>>(start: T) {
    const [values, setValues] = useState(start);
    const set = (part: Partial<T>) => setValues((v) => ({ ...v, ...part }));
    const bind = (name: keyof T & string) => ({
        name,
        value: values[name],
        autoComplete: 'off',
        onChange: (e: ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
            set({ [name]: e.target.value } as Partial<T>),
    });
    return { values, set, bind };
}

/** A number as typed, with a comma or a point; the server judges it. */
export const typed = (text: string): number => Number(text.replace(',', '.'));

/** A whole number of pieces. */
export const whole = (text: string): boolean => /^\d+$/.test(text);
