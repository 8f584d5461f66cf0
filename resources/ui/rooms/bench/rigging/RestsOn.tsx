import type { Schemas } from '../../../api/client';
import { type Run, type Spec, turnedSoFar } from './model';

const ROW = 52;
const BUS = 558;

/** What rests on what was turned, a row for each: the points that it moves, what must prove it, and the release. */
export function RestsOn({ spec, runs, open }: { spec: Spec; runs: Run[]; open: Schemas['NotWholeView'][] }) {
    const turned = turnedSoFar(runs);
    const missing = new Map(open.map((n) => [n.what, n.missing]));
    const rows = spec.adjusters
        .filter((a) => (turned[a.id] ?? 0) !== 0)
        .map((a) => ({
            id: a.id,
            title: a.title,
            points: spec.points.filter((p) => spec.effects[a.id]?.[p.id] !== undefined).map((p) => p.title),
            missing: missing.get(a.title) ?? [],
        }));
    if (rows.length === 0) {
        return null;
    }
    const waits = rows.some((r) => r.missing.length > 0);
    const height = rows.length * ROW;
    return (
        <figure className="mt-5" data-testid="rests-on">
            <figcaption className="font-semibold">What rests on what was turned; broken lines are open</figcaption>
            <svg
                viewBox={`-2 0 656 ${height}`}
                className="mt-2 w-full max-w-3xl"
                role="img"
                aria-label={rows.map(says).join('; ')}
            >
                <line x1={BUS} x2={BUS} y1={ROW / 2} y2={height - ROW / 2} {...line(waits)} />
                <line x1={BUS} x2={BUS + 14} y1={height / 2} y2={height / 2} {...line(waits)} />
                <Box x={BUS + 14} y={height / 2} width={78} text="release" open={waits} />
                {rows.map((r, i) => {
                    const y = i * ROW + ROW / 2;
                    const is = r.missing.length > 0;
                    return (
                        <g key={r.id}>
                            <line x1="150" x2={BUS} y1={y} y2={y} {...line(is)} />
                            <Box x={0} y={y} width={158} text={r.title} open={is} />
                            <Box x={172} y={y} width={196} text={r.points.join(', ')} open={is} />
                            {r.missing.map((m, k) => (
                                <Box key={m} x={382 + 86 * k} y={y} width={80} text={m} open />
                            ))}
                        </g>
                    );
                })}
            </svg>
        </figure>
    );
}

const says = (r: { title: string; points: string[]; missing: string[] }): string =>
    `${r.title} moves ${r.points.join(', ')}; ${r.missing.length > 0 ? `missing: ${r.missing.join(', ')}` : 'proven'}`;

const line = (open: boolean) => ({
    className: open ? 'stroke-ochre' : 'stroke-spruce',
    strokeWidth: 2.5,
    strokeDasharray: open ? '6 4' : undefined,
});

/** A link of the chain: open with a broken edge, proven with a whole one; long words end in an ellipsis. */
function Box({ x, y, width, text, open }: { x: number; y: number; width: number; text: string; open: boolean }) {
    const most = Math.floor((width - 14) / 7.4);
    return (
        <g transform={`translate(${x} ${y})`}>
            <title>{text}</title>
            <rect
                y="-17"
                width={width}
                height="34"
                rx="6"
                {...line(open)}
                className={`fill-sheet ${line(open).className}`}
            />
            <text x="8" y="5" className="fill-ink text-[14px]">
                {text.length > most ? `${text.slice(0, most - 1)}…` : text}
            </text>
        </g>
    );
}
