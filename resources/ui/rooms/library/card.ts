/** A card while it is written: plain values, and what is done to them. The server alone judges it. */

export type Step = { kind: string; title: string; text?: string; spec?: Record<string, unknown> };
export type Body = Record<string, unknown> & { steps: Step[] };

/** Where a step stands: its place in the card, and in the block that it stands in. */
export type At = { i: number; k: number | null };

export const key = ({ i, k }: At): string => (k === null ? `${i}` : `${i}.${k}`);

export const same = (a: At, b: At): boolean => a.i === b.i && a.k === b.k;

/** Kinds that hold other steps. */
export const isBlock = (kind: string | undefined): boolean => kind === 'each' || kind === 'functional';

/** The steps inside a block; none for any other step. */
export const inner = (step: Step | undefined): Step[] =>
    isBlock(step?.kind) ? ((step?.spec?.steps as Step[] | undefined) ?? []) : [];

/** Every step as the list shows it: a block, then what stands in it. */
export function listed(steps: Step[]): { at: At; step: Step }[] {
    return steps.flatMap((step, i) => [
        { at: { i, k: null }, step },
        ...inner(step).map((one, k) => ({ at: { i, k }, step: one })),
    ]);
}

export const stepAt = (steps: Step[], { i, k }: At): Step | undefined => (k === null ? steps[i] : inner(steps[i])[k]);

/** The list in which a step stands, changed. */
function within(steps: Step[], at: At, change: (list: Step[], n: number) => Step[]): Step[] {
    if (at.k === null) {
        return change(steps, at.i);
    }
    return steps.map((s, i) => (i === at.i ? { ...s, spec: { ...s.spec, steps: change(inner(s), at.k ?? 0) } } : s));
}

export const changed = (steps: Step[], at: At, step: Step): Step[] =>
    within(steps, at, (list, n) => list.map((s, i) => (i === n ? step : s)));

export const removed = (steps: Step[], at: At): Step[] =>
    within(steps, at, (list, n) => list.filter((_, i) => i !== n));

/** Put in after a place; at the very beginning for -1. */
export const inserted = (steps: Step[], at: At, ...more: Step[]): Step[] =>
    within(steps, at, (list, n) => [...list.slice(0, n + 1), ...more, ...list.slice(n + 1)]);

/** One place up or down in its own list; where it cannot go further, nothing changes. */
export function moved(steps: Step[], at: At, by: number): { steps: Step[]; at: At } {
    const n = at.k ?? at.i;
    const many = at.k === null ? steps.length : inner(steps[at.i]).length;
    const to = n + by;
    if (to < 0 || to >= many) {
        return { steps, at };
    }
    return {
        steps: within(steps, at, (list) => {
            const out = [...list];
            const [one] = out.splice(n, 1);
            out.splice(to, 0, one as Step);
            return out;
        }),
        at: at.k === null ? { i: to, k: null } : { i: at.i, k: to },
    };
}

/** A value deep inside, put or, when undefined, taken out with what is empty then. */
export function put(of: Record<string, unknown>, path: string, value: unknown): Record<string, unknown> {
    const [first = '', ...rest] = path.split('.');
    const out = { ...of };
    const is =
        rest.length === 0
            ? value
            : put((of[first] as Record<string, unknown> | undefined) ?? {}, rest.join('.'), value);
    const empty = is !== null && typeof is === 'object' && !Array.isArray(is) && Object.keys(is).length === 0;
    if (is === undefined || (empty && rest.length > 0)) {
        delete out[first];
    } else {
        out[first] = is;
    }
    return out;
}

export const got = (of: Record<string, unknown> | undefined, path: string): unknown =>
    path.split('.').reduce<unknown>((v, name) => (v as Record<string, unknown> | undefined | null)?.[name], of ?? {});

/** A number as typed; what is none stays as it was typed, and the server says so. */
export function number(text: string): number | string | undefined {
    const plain = text.trim().replace(',', '.');
    return plain === '' ? undefined : /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : text;
}

/** Lines of a text; undefined where there is none. */
export function lines(text: string): string[] | undefined {
    const out = text.split('\n').filter((l) => l.trim() !== '');
    return out.length === 0 ? undefined : out;
}

/** Points of a round from lines: "place", or "id, place" as in a CSV file; each with an id of its own. */
export function points(text: string): { id: string; place: string }[] {
    return (lines(text) ?? []).map((line, i) => {
        const m = /^"?([A-Za-z0-9_-]{1,20})"?[,;\t]\s*"?(.+?)"?$/.exec(line.trim());
        return m ? { id: m[1] ?? '', place: m[2] ?? '' } : { id: `p${i + 1}`, place: line.trim() };
    });
}

/** What a fault's path names: the step, if it is of one. */
export function atOf(path: string): At | null {
    const m = /^steps\.(\d+)(?:\.spec\.steps\.(\d+))?/.exec(path);
    return m ? { i: Number(m[1]), k: m[2] === undefined ? null : Number(m[2]) } : null;
}

/** The number that a step has on the card: of a block, at its first position. */
export function numberOf(steps: Step[], at: At): number {
    let no = 1;
    for (let i = 0; i < at.i; i++) {
        const s = steps[i];
        const positions = (s?.spec?.positions as string[] | undefined)?.length;
        // Beside its own steps a test has the one that begins an attempt, and the one that gives the verdict.
        no += isBlock(s?.kind)
            ? (inner(s).length + (s?.kind === 'functional' ? 2 : 0)) * (positions ?? (s?.kind === 'each' ? 0 : 1))
            : 1;
    }
    return no + (at.k === null ? 0 : at.k + (steps[at.i]?.kind === 'functional' ? 1 : 0));
}

export type History<T> = { past: T[]; now: T; next: T[] };

export const begun = <T>(now: T): History<T> => ({ past: [], now, next: [] });

/** A change that can be undone; many of one kind in a row, as of typing, are one. */
export function written<T>(h: History<T>, now: T, joins: boolean): History<T> {
    return { past: joins && h.past.length > 0 ? h.past : [...h.past.slice(-199), h.now], now, next: [] };
}

export function undone<T>(h: History<T>): History<T> {
    const before = h.past.at(-1);
    return before === undefined ? h : { past: h.past.slice(0, -1), now: before, next: [h.now, ...h.next] };
}

export function redone<T>(h: History<T>): History<T> {
    const [now, ...next] = h.next;
    return now === undefined ? h : { past: [...h.past, h.now], now, next };
}

export const blankCard = (manual: string, revision: number): Body => ({
    code: '',
    title: '',
    manual,
    revision,
    chapter: '',
    section: '',
    skill: 'airframe',
    hours: 1,
    zone: 'whole aircraft',
    stage: 'look',
    steps: [
        { kind: 'caution', title: 'Read before you start', text: '', spec: { level: 'warning' } },
        { kind: 'instruction', title: '', text: '' },
    ],
});
