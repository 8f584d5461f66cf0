import type { Schemas } from '../../../api/client';
import { plus } from '../../../parts/dates';

export type Laid = Schemas['SeasonLaidView'];
export type Season = Schemas['SeasonView'];
export type Block = Schemas['SeasonBlock'];
export type Need = Schemas['SeasonNeed'];

/** A season as it is sent: what of it somebody can change. */
export const laidOf = (season: Season): Laid[] =>
    season.visits.map((v) => ({
        id: v.id,
        mark: v.mark,
        bay: v.bay,
        start: v.start,
        end: v.end,
        items: v.items.map((i) => i.id),
        pinned: v.pinned,
        title: v.title,
        hours: v.visit === null ? v.own : 0,
    }));

export const daysBetween = (from: string, to: string): number =>
    Math.round((Date.parse(to) - Date.parse(from)) / 864e5);

const change = (laid: Laid[], id: string, to: (v: Laid) => Laid): Laid[] => laid.map((v) => (v.id === id ? to(v) : v));

const next = (laid: Laid[]): string =>
    `new-${1 + Math.max(0, ...laid.map((v) => (v.id.startsWith('new-') ? Number(v.id.slice(4)) : 0)))}`;

export const move = (laid: Laid[], id: string, by: number, bay?: string): Laid[] =>
    change(laid, id, (v) => ({ ...v, start: plus(v.start, by), end: plus(v.end, by), bay: bay ?? v.bay }));

/** Longer by so many days, or shorter; a visit has one day at the least. */
export const lengthen = (laid: Laid[], id: string, by: number): Laid[] =>
    change(laid, id, (v) => ({ ...v, end: plus(v.start, Math.max(0, daysBetween(v.start, v.end) + by)) }));

export const place = (laid: Laid[], id: string, to: Partial<Pick<Laid, 'bay' | 'start' | 'end' | 'title'>>): Laid[] =>
    change(laid, id, (v) => ({ ...v, ...to }));

export const pin = (laid: Laid[], id: string): Laid[] => change(laid, id, (v) => ({ ...v, pinned: !v.pinned }));

/** Takes items out of wherever they are. */
export const takeOut = (laid: Laid[], items: string[]): Laid[] =>
    laid.map((v) => ({ ...v, items: v.items.filter((i) => !items.includes(i)) }));

export const putIn = (laid: Laid[], id: string, items: string[]): Laid[] =>
    change(takeOut(laid, items), id, (v) => ({ ...v, items: [...v.items, ...items] }));

/** A new visit; the last of what is laid. */
export const add = (laid: Laid[], is: Omit<Laid, 'id' | 'pinned'> & { pinned?: boolean }): Laid[] => [
    ...takeOut(laid, is.items),
    { pinned: false, ...is, id: next(laid) },
];

/** Some of a visit's items in a visit of their own, on the day after it. */
export const split = (laid: Laid[], id: string, items: string[], title: string): Laid[] => {
    const from = laid.find((v) => v.id === id);
    if (!from) {
        return laid;
    }
    const start = plus(from.end, 1);
    return add(laid, { mark: from.mark, bay: from.bay, start, end: start, items, title, hours: 0 });
};

/** A visit becomes part of another one, which lasts as much longer. */
export const merge = (laid: Laid[], id: string, into: string): Laid[] => {
    const gone = laid.find((v) => v.id === id);
    if (!gone || id === into) {
        return laid;
    }
    return change(drop(laid, id), into, (v) => ({
        ...v,
        items: [...v.items, ...gone.items],
        end: plus(v.end, daysBetween(gone.start, gone.end)),
    }));
};

export const swapBays = (laid: Laid[], a: string, b: string): Laid[] => {
    const bay = (id: string) => laid.find((v) => v.id === id)?.bay ?? '';
    return place(place(laid, a, { bay: bay(b) }), b, { bay: bay(a) });
};

/** A visit is given up, its items have none again; one that is kept stays named, with nothing in it. */
export const drop = (laid: Laid[], id: string): Laid[] =>
    id.startsWith('new-') ? laid.filter((v) => v.id !== id) : change(laid, id, (v) => ({ ...v, items: [] }));
