/** From when to when, in seconds of a recording. */
export type Stretch = [number, number];

/** A stretch inside the whole, no shorter than a second. */
export const within = ([from, to]: Stretch, all: number): Stretch => {
    const span = Math.min(all, Math.max(1, to - from));
    const start = Math.min(Math.max(0, from), all - span);
    return [start, start + span];
};
