import { Arc } from '../../parts/Arc';
import { Scale } from '../../parts/Scale';
import { band, drawn, place } from '../../parts/scale';
import { unitLabel } from '../floor/ReadingField';
import type { SheetPoint, SheetSpec } from '../floor/steps/Sheet';

/** The readings of a sheet as they are typed: on one scale, as a pair on one arc, or as a ring of clearances. */
export function SheetDrawing({ spec, values }: { spec: SheetSpec; values: Record<string, string> }) {
    const read = spec.points.flatMap((p) => {
        const value = drawn(values[p.id] ?? '');
        return value === null ? [] : [{ point: p, value }];
    });
    const first = spec.points.find((p) => p.limit);
    if (spec.draw === 'ring') {
        return <Clearances points={spec.points} values={values} />;
    }
    if (first?.limit === undefined) {
        return null;
    }
    const limit = band(first.limit);
    const needles = read
        .filter((r) => r.point.unit === first.unit)
        .map((r) => ({
            name: r.point.place,
            value: r.value,
            look: 'good' as const,
        }));
    if (spec.draw === 'arc' || spec.draw === 'pair') {
        return (
            <div className="mt-3 max-w-sm">
                <Arc title="" unit={unitLabel(first.unit)} limit={limit} needles={needles} />
            </div>
        );
    }
    return spec.draw === 'scale' ? (
        <Scale
            limit={limit}
            unit={unitLabel(first.unit)}
            value={null}
            others={needles.map((n) => ({ name: n.name, value: n.value }))}
        />
    ) : null;
}

/** Clearances all the way round: each as far from the middle as its gap, so that an even gap is a circle. */
function Clearances({ points, values }: { points: SheetPoint[]; values: Record<string, string> }) {
    const read = points.map((p) => drawn(values[p.id] ?? ''));
    const known = read.filter((v) => v !== null);
    const limits = points.flatMap((p) => (p.limit ? [band(p.limit)] : []));
    const high = Math.max(...known, ...limits.map((l) => l.high ?? 0), 0.1) * 1.15;
    const at = (i: number, v: number): [number, number] => {
        const turn = (2 * Math.PI * i) / points.length - Math.PI / 2;
        const r = 26 + 84 * place(v, [0, high]);
        return [140 + r * Math.cos(turn), 128 + r * Math.sin(turn)];
    };
    return (
        <svg
            viewBox="0 0 280 256"
            className="mt-3 w-full max-w-[22rem]"
            role="img"
            aria-label="Clearances round the edge"
        >
            {limits[0]?.low != null && (
                <circle
                    cx="140"
                    cy="128"
                    r={26 + 84 * place(limits[0].low, [0, high])}
                    fill="none"
                    className="stroke-spruce"
                    strokeDasharray="4 4"
                />
            )}
            {limits[0]?.high != null && (
                <circle
                    cx="140"
                    cy="128"
                    r={26 + 84 * place(limits[0].high, [0, high])}
                    fill="none"
                    className="stroke-spruce"
                    strokeDasharray="4 4"
                />
            )}
            <circle cx="140" cy="128" r="26" className="fill-shade stroke-rule" />
            {points.map((p, i) => {
                const v = read[i] ?? null;
                const [x0, y0] = at(i, 0);
                const [x, y] = at(i, v ?? 0);
                const [lx, ly] = at(i, high * 1.1);
                return (
                    <g key={p.id}>
                        {v !== null && <line x1={x0} y1={y0} x2={x} y2={y} className="stroke-ink" strokeWidth="3" />}
                        {v !== null && <circle cx={x} cy={y} r="5" className="fill-ink" />}
                        <text x={lx} y={ly + 4} textAnchor="middle" className="fill-soft text-[12px]">
                            {p.place}
                        </text>
                    </g>
                );
            })}
        </svg>
    );
}
