import type { Block, Season } from './laid';

export const LEFT = 168;
export const WIDE = 1180;
export const HEAD = 40;

export interface Row {
    id: string;
    name: string;
    under: string;
    top: number;
    high: number;
    /** Blocks with the lane of the row in which each is drawn. */
    blocks: { block: Block; lane: number }[];
}

const LANE = 26;

/** Blocks that overlap one under the other, in as few lanes as there are at once. */
function lanes(blocks: Block[]): { block: Block; lane: number }[] {
    const ends: number[] = [];
    return [...blocks]
        .sort((a, b) => a.from - b.from || a.to - b.to)
        .map((block) => {
            const free = ends.findIndex((end) => end < block.from);
            const lane = free === -1 ? ends.length : free;
            ends[lane] = block.to;
            return { block, lane };
        });
}

/** The rows of a reading from the top down: a row an aircraft, or a row a bay. */
export function rowsOf(season: Season, reading: 'aircraft' | 'bays'): Row[] {
    const of =
        reading === 'aircraft'
            ? season.aircraft.map((a) => ({
                  id: a.mark,
                  name: a.mark,
                  under: `${a.type} ${a.base}`,
                  blocks: season.visits.filter((v) => v.mark === a.mark),
              }))
            : season.bays.map((b) => ({
                  id: b.id,
                  name: b.name,
                  under: b.says,
                  blocks: season.visits.filter((v) => v.bay === b.id),
              }));
    let top = HEAD;
    return of.map((r) => {
        const blocks = lanes(r.blocks);
        const many = Math.max(reading === 'bays' ? 2 : 1, 1 + Math.max(-1, ...blocks.map((b) => b.lane)));
        const row = { ...r, blocks, top, high: many * LANE + 6 };
        top += row.high;
        return row;
    });
}

export const dayWide = (days: number): number => (WIDE - LEFT) / days;

export const xOf = (day: number, days: number): number => LEFT + Math.max(0, Math.min(days, day)) * dayWide(days);

export const yOf = (row: Row, lane: number): number => row.top + 3 + lane * LANE;

export const BLOCK = LANE - 4;
