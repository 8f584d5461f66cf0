import type { KeyboardEvent, MouseEvent, ReactNode } from 'react';
import { stateColour } from './State';

export type View = 'side' | 'top' | 'front';
type Line = { p: [number, number][]; c: number; s: number; k: string };
export type Outline = { length: number; half: number; height: number; side: Line[]; top: Line[]; front: Line[] };
/** A place that is marked on one view only. */
export type Dot = { id: number; no: string; name: string; state: string; view: View; x: number; y: number };
export type Mark = { id: number; no: number; name: string; state: string; x: number; y: number; z: number };

const names: Record<View, string> = { side: 'from the left', top: 'from above', front: 'from the front' };

/** A smooth closed or open line through its points (Catmull-Rom as cubic curves). */
export function path({ p, c, s }: Pick<Line, 'p' | 'c' | 's'>): string {
    const at = (i: number): [number, number] =>
        c
            ? (p[(i + p.length) % p.length] as [number, number])
            : (p[Math.max(0, Math.min(p.length - 1, i))] as [number, number]);
    const xy = ([x, y]: [number, number]) => `${+x.toFixed(3)} ${+y.toFixed(3)}`;
    let d = `M${xy(at(0))}`;
    for (let i = 0; i < (c ? p.length : p.length - 1); i++) {
        const [a, b, n, m] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
        d += s
            ? `C${xy([b[0] + (n[0] - a[0]) / 6, b[1] + (n[1] - a[1]) / 6])} ${xy([n[0] - (m[0] - b[0]) / 6, n[1] - (m[1] - b[1]) / 6])} ${xy(n)}`
            : `L${xy(n)}`;
    }
    return c ? `${d}Z` : d;
}

/** A place in metres on one of the views: across and down the sheet. From above the nose points left, so that the right side is up; from the front the right side is on the left. */
export const onView = (view: View, m: { x: number; y: number; z: number }): [number, number] =>
    view === 'side' ? [m.x, -m.z] : view === 'top' ? [m.x, -m.y] : [-m.y, -m.z];

/** Arrow keys move the place picked: across, and up. */
const arrows: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
};

const looks: Record<string, string> = {
    skin: 'fill-sheet stroke-ink',
    line: 'fill-none stroke-soft',
    leg: 'fill-none stroke-ink',
    wheel: 'fill-shade stroke-ink',
    prop: 'fill-none stroke-slate',
    glass: 'fill-shade stroke-soft',
    door: 'fill-none stroke-soft',
};

/** An aircraft drawn in three views to one scale, with places marked by number. */
export function Drawing({
    outline,
    marks = [],
    dots = [],
    spot,
    onPick,
}: {
    outline: Outline;
    marks?: Mark[];
    dots?: Dot[];
    spot?: { view: View; x: number; y: number } | null;
    onPick?: (spot: { view: View; x: number; y: number }) => void;
}) {
    const { length, half, height } = outline;
    const pad = length * 0.08;
    const box: Record<View, [number, number, number, number]> = {
        side: [-pad - 1, -height - pad, length + 2 * pad + 1, height + 2 * pad],
        top: [-pad - 1, -half - pad / 2, length + 2 * pad + 1, 2 * half + pad],
        front: [-(length + 2 * pad + 1) / 2, -height - pad, length + 2 * pad + 1, height + 2 * pad],
    };
    const pick = (view: View, x: number, y: number) =>
        onPick?.({ view, x: Math.round(x * 100) / 100, y: Math.round(y * 100) / 100 });
    const one = (view: View): ReactNode => {
        const [x, y, w, h] = box[view];
        const lines = outline[view].map((l) => ({ ...l, p: l.p.map(([a, b]) => [a, -b] as [number, number]) }));
        const r = length * 0.024;
        return (
            <figure key={view} className="min-w-0">
                <svg
                    viewBox={`${x} ${y} ${w} ${h}`}
                    className={`w-full rounded-lg border border-rule bg-paper ${onPick ? 'cursor-crosshair' : ''}`}
                    role="img"
                    aria-label={`Drawing ${names[view]}${marks.length > 0 ? `, ${marks.length} places marked` : ''}`}
                    data-view={view}
                    {...(onPick && {
                        tabIndex: 0,
                        onClick: (e: MouseEvent<SVGSVGElement>) => {
                            const at = e.currentTarget.createSVGPoint();
                            at.x = e.clientX;
                            at.y = e.clientY;
                            const m = at.matrixTransform(e.currentTarget.getScreenCTM()?.inverse());
                            pick(view, m.x, -m.y);
                        },
                        onKeyDown: (e: KeyboardEvent<SVGSVGElement>) => {
                            const by = arrows[e.key];
                            if (by) {
                                e.preventDefault();
                                const from =
                                    spot?.view === view ? spot : { x: x + w / 2, y: view === 'top' ? 0 : height / 2 };
                                const step = e.shiftKey ? 1 : 0.25;
                                pick(view, from.x + by[0] * step, from.y + by[1] * step);
                            }
                        },
                    })}
                >
                    {view !== 'top' && (
                        <line x1={x} x2={x + w} y1="0" y2="0" className="stroke-rule" strokeWidth={length * 0.003} />
                    )}
                    {lines.map((l, i) => (
                        <path
                            // biome-ignore lint/suspicious/noArrayIndexKey: lines of one drawing never move
                            key={i}
                            d={path(l)}
                            className={looks[l.k] ?? looks.line}
                            strokeWidth={length * (l.k === 'skin' ? 0.0045 : 0.003)}
                            strokeDasharray={l.k === 'prop' ? `${length * 0.012} ${length * 0.008}` : undefined}
                            strokeLinejoin="round"
                        />
                    ))}
                    {[
                        ...marks.map((m) => ({ ...m, at: onView(view, m) })),
                        ...dots.filter((d) => d.view === view).map((d) => ({ ...d, at: [d.x, -d.y] as const })),
                    ].map((m) => {
                        const [a, b] = m.at;
                        return (
                            <g key={m.id} className={stateColour(m.state)}>
                                <title>{`${m.no}: ${m.name}`}</title>
                                <circle
                                    cx={a}
                                    cy={b}
                                    r={r}
                                    className="fill-paper"
                                    stroke="currentColor"
                                    strokeWidth={r * 0.32}
                                />
                                <text
                                    x={a}
                                    y={b + r * 0.48}
                                    textAnchor="middle"
                                    fontSize={r * 1.35}
                                    className="fill-ink font-mono font-bold"
                                >
                                    {m.no}
                                </text>
                            </g>
                        );
                    })}
                    {spot && spot.view === view && <Spot x={spot.x} y={-spot.y} r={r * 1.1} />}
                </svg>
                <figcaption className="mt-1 text-sm text-soft">{names[view]}</figcaption>
            </figure>
        );
    };
    return (
        <div className="grid max-w-5xl grid-cols-2 items-start gap-3">
            <div className="grid gap-3">
                {one('side')}
                {one('front')}
            </div>
            {one('top')}
        </div>
    );
}

/** Where a finding is: a ring with hairs, so that what it lies on stays visible. */
function Spot({ x, y, r }: { x: number; y: number; r: number }) {
    return (
        <g className="text-rust" data-testid="spot">
            <circle cx={x} cy={y} r={r} fill="none" stroke="currentColor" strokeWidth={r * 0.22} />
            {[
                [1, 0],
                [-1, 0],
                [0, 1],
                [0, -1],
            ].map(([a = 0, b = 0]) => (
                <line
                    key={`${a}${b}`}
                    x1={x + a * r * 0.5}
                    y1={y + b * r * 0.5}
                    x2={x + a * r * 1.7}
                    y2={y + b * r * 1.7}
                    stroke="currentColor"
                    strokeWidth={r * 0.22}
                />
            ))}
        </g>
    );
}
