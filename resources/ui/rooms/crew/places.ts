import type { Schemas } from '../../api/client';

export type Shown = Schemas['ShiftView'];
export type Slot = Schemas['SlotView'];
export type Places = Record<string, number>;

export const roles: Record<string, string> = { perform: 'works', duplicate: 'inspects', certify: 'certifies' };
export const placesOf = (v: Shown): Places =>
    Object.fromEntries(v.slots.flatMap((s) => (s.person === null ? [] : [[s.id, s.person]])));
