import type { Schemas } from '../../../api/client';
import type { Drawing, Part } from './linkage';

export type Point = {
    id: string;
    title: string;
    unit: string;
    min: number;
    max: number;
    side?: 'left' | 'right';
    aim?: number;
};
export type Adjuster = {
    id: string;
    title: string;
    unit: string;
    step: number;
    min: number;
    max: number;
    positive: string;
    buckles?: { names: string[]; max_threads: number };
};
export type Must = { id: string; title: string; unit?: string; min?: number; max?: number };
export type Ground = { budget: number; cautions?: string[] };

/** What a rigging sheet is worked by, as its card has it. */
export type Spec = {
    tool_kind: string;
    points: Point[];
    adjusters: Adjuster[];
    requires?: Must[];
    ground?: Ground;
    effects: Record<string, Record<string, unknown>>;
    drawing?: Drawing;
    match?: { points: [string, string]; within: number }[];
};

/** What a point follows besides its limits, as the approved data has it: its sister, or a value of its own. */
export const school = (spec: Spec, point: Point): string[] => [
    ...(spec.match ?? []).flatMap(({ points: [a, b], within }) => {
        const other = a === point.id ? b : b === point.id ? a : undefined;
        const title = spec.points.find((p) => p.id === other)?.title;
        return title === undefined ? [] : [`as ${title}, within ${within}`];
    }),
    ...(point.aim === undefined ? [] : [`nominal ${point.aim}`]),
];

export type Run = Schemas['RunView'];

/** By point. */
export type Values = Record<string, number | undefined>;
export type LinkageProps = {
    drawing: Drawing;
    points: Point[];
    adjusters: Adjuster[];
    /** what is read, or typed just now */
    read: Values;
    /** what should be read next */
    next: Values;
    /** points that the server found outside */
    outside: Set<string>;
    /** what each adjuster was moved so far, signed */
    turned: Record<string, number>;
    /** what is to be turned, in words, by adjuster */
    advised: Record<string, string>;
};

export type PartProps = LinkageProps & { part: Part };

const opposites: Record<string, string> = {
    cw: 'ccw',
    ccw: 'cw',
    lengthen: 'shorten',
    shorten: 'lengthen',
    raise: 'lower',
    lower: 'raise',
};

export const opposite = (turn: string): string => opposites[turn] ?? turn;

export const turnWords: Record<string, string> = {
    cw: 'clockwise',
    ccw: 'counter-clockwise',
    lengthen: 'longer',
    shorten: 'shorter',
    raise: 'up',
    lower: 'down',
};

/** What each adjuster was moved in the rounds that are entered, signed. */
export const turnedSoFar = (runs: Run[]): Record<string, number> => {
    const sum: Record<string, number> = {};
    for (const run of runs) {
        for (const [id, amount] of Object.entries(run.turned ?? {})) {
            sum[id] = (sum[id] ?? 0) + amount;
        }
    }
    return sum;
};
