/** The frame of a recording's drawing, in its own units. */
export const LEFT = 60;
export const RIGHT = 1080;
export const TOP = 20;
export const FOOT = 340;

/** Where a time and a value lie in it. */
export type On = { x: (t: number) => number; y: (v: number) => number };
