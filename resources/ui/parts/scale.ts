/** Where numbers stand on a drawing. Nothing here judges a reading; it only places it. */

export type Band = { low: number | null; high: number | null };
export type LimitSpec = {
    kind: 'min' | 'max' | 'range' | 'nominal';
    unit: string;
    min?: number;
    max?: number;
    nominal?: number;
    plus?: number;
    minus?: number;
};

export function band(limit: LimitSpec): Band {
    if (limit.kind === 'nominal') {
        const n = limit.nominal ?? 0;
        return { low: n - (limit.minus ?? 0), high: n + (limit.plus ?? 0) };
    }
    return {
        low: limit.kind === 'max' ? null : (limit.min ?? null),
        high: limit.kind === 'min' ? null : (limit.max ?? null),
    };
}

/** A band in words: `3 to 5`, `at least 3`, `at most 5`; nothing where neither end is given. */
export const within = ({ low, high }: Band): string =>
    low === null ? (high === null ? '' : `at most ${high}`) : high === null ? `at least ${low}` : `${low} to ${high}`;

/** The ends of the drawing: the band with as much again on both sides, from nought where only a most is given, and room for every value shown. */
export function domain({ low, high }: Band, values: number[] = []): [number, number] {
    if (low === null && high !== null && high > 0) {
        return [
            Math.min(0, ...values.filter(Number.isFinite)),
            Math.max(high * 1.3, ...values.filter(Number.isFinite)),
        ];
    }
    const span = low !== null && high !== null ? high - low : Math.abs(low ?? high ?? 1) * 0.2;
    const pad = span === 0 ? 1 : span;
    const ends = [(low ?? high ?? 0) - pad, (high ?? low ?? 0) + pad, ...values.filter(Number.isFinite)];
    return [Math.min(...ends), Math.max(...ends)];
}

/** Round marks, about `count` of them, between two ends. */
export function ticks([from, to]: [number, number], count = 6): number[] {
    const raw = (to - from) / count;
    const power = 10 ** Math.floor(Math.log10(raw));
    const step = ([1, 2, 5, 10].find((m) => m * power >= raw) ?? 10) * power;
    const out: number[] = [];
    for (let i = Math.ceil(from / step - 1e-9); i * step <= to + step * 1e-9; i++) {
        out.push(Number((i * step).toPrecision(12)));
    }
    return out;
}

export const place = (value: number, [from, to]: [number, number]): number => (value - from) / (to - from);

/** A typed number for drawing only; the server reads and judges what was typed. */
export const drawn = (entry: string): number | null => {
    const number = entry.trim().match(/^[+-]?\d+(?:[.,]\d+)?/)?.[0];
    return number === undefined ? null : Number(number.replace(',', '.'));
};

/** Hours as they are said on a plan: to the half. */
export const halves = (v: number): string => (Math.round(v * 2) / 2).toLocaleString('en-GB');
