/** A programme item while it is edited: numbers are as typed until it is sent. */

type Typed = string | number;
export type Limit = {
    unit: string;
    interval: Typed;
    threshold?: Typed;
    tolerance?: { abs?: Typed; pct?: Typed; cap?: Typed };
    early?: { abs?: Typed; pct?: Typed; cap?: Typed };
};
export type Item = {
    code: string;
    title: string;
    rule: string;
    rebase: string;
    card: string;
    /** More cards that are made with it, in their order. */
    cards?: string[];
    component?: string;
    chapter: string;
    withdrawn?: boolean;
    harsh?: Record<string, Typed>;
    limits: Limit[];
    [more: string]: unknown;
};

export const limitUnits = ['fh', 'ldg', 'cyc', 'days', 'months'] as const;

/** What was typed, as a number where it is one; the server names what is not. */
const number = (v: Typed): unknown => {
    const text = String(v).trim().replace(',', '.');
    return text !== '' && Number.isFinite(Number(text)) ? Number(text) : v;
};

/** Only what was filled in; nothing where nothing was. */
const filled = (map: Record<string, Typed | undefined> | undefined): Record<string, unknown> | undefined => {
    const kept = Object.entries(map ?? {}).filter(([, v]) => v !== undefined && String(v).trim() !== '');
    return kept.length === 0 ? undefined : Object.fromEntries(kept.map(([k, v]) => [k, number(v as Typed)]));
};

/** An item that is not in the programme yet. */
export const blank = (card: string): Item => ({
    code: '',
    title: '',
    chapter: '',
    rule: 'first',
    rebase: 'planned',
    card,
    limits: [{ unit: 'months', interval: '' }],
});

/** The item as the file has it. */
export function numbers(item: Item): Record<string, unknown> {
    return {
        ...item,
        harsh: filled(item.harsh),
        cards: item.cards?.length ? item.cards : undefined,
        limits: item.limits.map((l) => ({
            unit: l.unit,
            interval: number(l.interval),
            threshold: l.threshold === undefined || String(l.threshold).trim() === '' ? undefined : number(l.threshold),
            tolerance: filled(l.tolerance),
            early: filled(l.early),
        })),
    };
}
