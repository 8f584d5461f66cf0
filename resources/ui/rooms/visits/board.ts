import type { Schemas } from '../../api/client';

/** Where things stand on the board's drawing; when each card is worked, the server says. */
export const LANE = 24;
export const GAP = 3;
export const PEOPLE = 26;
/** From one skill's people to the next. */
export const CROWD = PEOPLE + 6;
export const BAND = 14;

type ZoneRow = { zone: Schemas['BoardZone']; top: number; height: number };

/** Zones one beneath another, each as tall as its lanes. */
export function rows(zones: Schemas['BoardZone'][]): { rows: ZoneRow[]; height: number } {
    let top = 0;
    const out = zones.map((zone) => {
        const height = zone.lanes * (LANE + GAP) + GAP * 2;
        const row = { zone, top, height };
        top += height;
        return row;
    });
    return { rows: out, height: top };
}

export type Measures = {
    /** Pixels a slot. */
    wide: number;
    /** Where the people stand, and where the zones begin and end, in pixels from the top. */
    people: number;
    head: number;
    body: number;
    height: number;
    width: number;
    layout: ReturnType<typeof rows>;
};

/** The whole drawing's measures, in pixels. */
export function measures(board: Schemas['BoardView'], wide: number): Measures {
    const layout = rows(board.zones);
    const people = 22 + board.bands.length * BAND + 6;
    const head = people + board.people.length * CROWD;
    const body = head + layout.height;
    const height = body + 14;
    return { wide, people, head, body, height, width: board.slots * wide, layout };
}

/** The outline of a card: pointed at its end when it decides the exit. */
export function outline(x: number, y: number, width: number, height: number, pointed: boolean): string {
    const tip = pointed ? Math.min(8, width / 2) : 0;
    return `M${x} ${y}H${x + width - tip}${pointed ? `L${x + width} ${y + height / 2}L${x + width - tip} ${y + height}` : `V${y + height}`}H${x}Z`;
}

/** The edge of a skill's people as steps: those at work, or those who are there. */
export function steps(
    spans: Schemas['PeopleSpan'][],
    of: 'used' | 'there',
    most: number,
    wide: number,
    high: number,
): string {
    const y = (n: number) => high - (n / most) * high;
    const edge = spans.map((s) => `H${s.from * wide}V${y(s[of])}H${s.to * wide}`).join('');
    const last = spans[spans.length - 1];
    return last === undefined ? '' : `M0 ${high}${edge}V${high}Z`;
}

/** The slot under a drop, in half hours, never before the board begins. */
export const dropped = (from: number, pixels: number, wide: number): number =>
    Math.max(0, Math.round(from + pixels / wide));

/** Whether a card is one of those that somebody looks for. */
export const fits = (
    card: Schemas['BoardCard'],
    { skill, person, state }: { skill: string; person: string; state: string },
): boolean =>
    (skill === '' || card.skills.includes(skill)) &&
    (person === '' || (person === NOBODY ? card.crew.length === 0 : card.crew.includes(person))) &&
    (state === '' || card.state === state);

export const NOBODY = 'nobody';

/** As much of a title as a width holds. */
export const clipped = (text: string, pixels: number): string => {
    const room = Math.floor(pixels / 7.1);
    return room < 3 ? '' : text.length <= room ? text : `${text.slice(0, room - 1)}…`;
};

/** A day as it fits: in words (`Wed 29 Apr`), else by its number, with the month on the first one and on each 1st. */
export const dayLabel = (words: string, width: number, first: boolean): string => {
    const [, day = words, month = ''] = words.split(' ');
    return clipped(words, width) === words ? words : first || day === '1' ? `${day} ${month}` : day;
};
