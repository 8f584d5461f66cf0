/** A linkage in lines, as a rig model has it: sizes in units of its sheet, angles in degrees against the clock. */
export type Part = {
    kind: 'lever' | 'rod' | 'screw' | 'cable' | 'cam';
    id?: string;
    at?: [number, number];
    length?: number;
    zero?: number;
    sense?: 1 | -1;
    scale?: number;
    point?: string;
    adjuster?: string;
    from?: string | [number, number];
    to?: string | [number, number];
    text?: string;
};
export type Drawing = { width: number; height: number; parts: Part[] };
export type Spot = [number, number];

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Where a reading of a part's point stands on the sheet, in degrees from the right. */
export const angle = (part: Part, value: number): number =>
    (part.zero ?? 0) + (part.sense ?? 1) * (part.scale ?? 1) * value;

/** A spot so far from another in a direction; the sheet's y goes down. */
export const away = ([x, y]: Spot, length: number, degrees: number): Spot => [
    x + length * Math.cos(radians(degrees)),
    y - length * Math.sin(radians(degrees)),
];

/** The end of a lever at a reading; its pivot where it has no reading yet. */
export const tip = (part: Part, value: number | undefined): Spot =>
    value === undefined ? (part.at ?? [0, 0]) : away(part.at ?? [0, 0], part.length ?? 0, angle(part, value));

/** An arc round a spot between two directions, whichever is the greater. */
export const arc = (at: Spot, radius: number, from: number, to: number): string => {
    const [low, high] = from < to ? [from, to] : [to, from];
    const [x1, y1] = away(at, radius, low);
    const [x2, y2] = away(at, radius, high);
    return `M${x1} ${y1}A${radius} ${radius} 0 ${high - low > 180 ? 1 : 0} 0 ${x2} ${y2}`;
};

/** Where the end of a rod is: at the tip of a lever, or at a fixed spot. */
export const joint = (
    drawing: Drawing,
    of: string | Spot | undefined,
    read: Record<string, number | undefined>,
): Spot => {
    if (Array.isArray(of)) {
        return of;
    }
    const lever = drawing.parts.find((p) => p.id === of);
    return lever === undefined ? [0, 0] : tip(lever, lever.point === undefined ? 0 : read[lever.point]);
};

export const middle = ([x1, y1]: Spot, [x2, y2]: Spot): Spot => [(x1 + x2) / 2, (y1 + y2) / 2];

/** The direction of a line in degrees on the sheet, clockwise as SVG turns, so that its words stand upright. */
export const slope = ([x1, y1]: Spot, [x2, y2]: Spot): number => {
    const degrees = (Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI;
    return degrees > 90 ? degrees - 180 : degrees < -90 ? degrees + 180 : degrees;
};
