import type { KeyboardEvent } from 'react';
import type { Schemas } from '../../api/client';
import { useSamples } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { place, ticks } from '../../parts/scale';

type Data = Schemas['RecordingView'];
type Signal = Schemas['SignalView'];

const LEFT = 60;
const RIGHT = 1080;
const TOP = 20;
const FOOT = 340;

/** What the keys do: how much closer, how far along. */
const zooms: Record<string, number> = { '+': 0.5, '=': 0.5, '-': 2 };
const pans: Record<string, number> = { ArrowLeft: -0.25, ArrowRight: 0.25 };

/** A stretch inside the whole, no shorter than a second. */
const within = ([from, to]: [number, number], all: number): [number, number] => {
    const span = Math.min(all, Math.max(1, to - from));
    const start = Math.min(Math.max(0, from), all - span);
    return [start, start + span];
};

/** Signals over time: + and - zoom, the arrows pan, Home shows all. */
export function RecordingDrawing({
    r,
    signals,
    view,
    onView,
}: {
    r: Data;
    signals: Signal[];
    view: [number, number];
    onView: (view: [number, number]) => void;
}) {
    const names = signals.map((s) => s.signal);
    const samples = useSamples(r.id, names, view[0], view[1]);
    const data = samples.data;
    const watched = r.watched !== null && names.includes(r.watched);
    const [from, to] = view;
    const zoom = (by: number) => {
        const middle = (from + to) / 2;
        const half = ((to - from) / 2) * by;
        onView(within([middle - half, middle + half], r.seconds));
    };
    const pan = (by: number) => onView(within([from + (to - from) * by, to + (to - from) * by], r.seconds));
    const onKey = (e: KeyboardEvent) => {
        const closer = zooms[e.key];
        const along = pans[e.key];
        if (closer !== undefined) {
            zoom(closer);
        } else if (along !== undefined) {
            pan(along);
        } else if (e.key === 'Home') {
            onView([0, r.seconds]);
        } else {
            return;
        }
        e.preventDefault();
    };
    const lows = names.flatMap((n) => data?.low[n] ?? []);
    const highs = names.flatMap((n) => data?.high[n] ?? []);
    const marks = [
        ...signals.flatMap((s) => (s.limit === null ? [] : [s.limit])),
        ...(watched ? [r.low, r.high].filter((v) => v !== null) : []),
    ];
    const least = Math.min(...lows, ...marks);
    const most = Math.max(...highs, ...marks);
    const pad = (most - least || 1) * 0.08;
    const ends: [number, number] = [least - pad, most + pad];
    const x = (t: number) => LEFT + place(t, view) * (RIGHT - LEFT);
    const y = (v: number) => FOOT - place(v, ends) * (FOOT - TOP);
    const inside = (t: number) => t >= from && t <= to;
    const looks = ['stroke-ink', 'stroke-slate'];
    return (
        <div>
            <div className="noprint mb-2 flex gap-2">
                <Button onClick={() => zoom(0.5)}>Closer</Button>
                <Button onClick={() => zoom(2)}>Wider</Button>
                <Button onClick={() => pan(-0.25)}>Earlier</Button>
                <Button onClick={() => pan(0.25)}>Later</Button>
                <Button onClick={() => onView([0, r.seconds])}>All of it</Button>
                {r.changes.map((c) => (
                    <Button key={c.t} onClick={() => onView(within([c.t - 2, c.t + 4], r.seconds))}>
                        to {c.to}
                    </Button>
                ))}
            </div>
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: zoomed and panned by keys */}
            <section aria-label="Signals over time: plus and minus zoom, arrows pan" tabIndex={0} onKeyDown={onKey}>
                <svg
                    viewBox="0 0 1100 390"
                    className="w-full"
                    role="img"
                    aria-label={`${names.join(' and ')} over time`}
                >
                    {data && data.t.length > 0 && (
                        <>
                            {watched && r.low !== null && r.high !== null && (
                                <rect
                                    x={LEFT}
                                    width={RIGHT - LEFT}
                                    y={y(r.high)}
                                    height={y(r.low) - y(r.high)}
                                    className="fill-spruce-wash"
                                />
                            )}
                            {ticks(ends, 6).map((v) => (
                                <g key={v}>
                                    <line x1={LEFT} x2={RIGHT} y1={y(v)} y2={y(v)} className="stroke-rule" />
                                    <text
                                        x={LEFT - 6}
                                        y={y(v) + 4}
                                        textAnchor="end"
                                        className="fill-soft font-mono text-[12px]"
                                    >
                                        {v}
                                    </text>
                                </g>
                            ))}
                            {ticks(view, 8).map((v) => (
                                <text
                                    key={v}
                                    x={x(v)}
                                    y={FOOT + 18}
                                    textAnchor="middle"
                                    className="fill-soft font-mono text-[12px]"
                                >
                                    {v} s
                                </text>
                            ))}
                            {r.gaps.map((g) => (
                                <rect
                                    key={g.line}
                                    x={x(Math.max(from, g.from))}
                                    width={Math.max(0, x(Math.min(to, g.to)) - x(Math.max(from, g.from)))}
                                    y={TOP}
                                    height={FOOT - TOP}
                                    className="fill-ochre-wash"
                                />
                            ))}
                            {signals.map((s) =>
                                s.limit === null ? null : (
                                    <g key={s.signal}>
                                        <line
                                            x1={LEFT}
                                            x2={RIGHT}
                                            y1={y(s.limit)}
                                            y2={y(s.limit)}
                                            className="stroke-rust"
                                            strokeWidth="2"
                                            strokeDasharray="8 4"
                                        />
                                        <text
                                            x={RIGHT}
                                            y={y(s.limit) - 5}
                                            textAnchor="end"
                                            className="fill-rust text-[12px] font-semibold"
                                        >
                                            limit {Number(s.limit.toFixed(2))} {s.unit}
                                        </text>
                                    </g>
                                ),
                            )}
                            {watched && r.reference !== null && (
                                <g>
                                    <line
                                        x1={LEFT}
                                        x2={RIGHT}
                                        y1={y(r.reference)}
                                        y2={y(r.reference)}
                                        className="stroke-spruce"
                                        strokeWidth="1.5"
                                    />
                                    <text
                                        x={LEFT + 6}
                                        y={y(r.reference) - 5}
                                        className="fill-spruce text-[12px] font-semibold"
                                    >
                                        reference {r.reference.toFixed(1)}
                                    </text>
                                </g>
                            )}
                            {names.map((n, i) => (
                                <path
                                    key={n}
                                    d={data.t
                                        .map(
                                            (t, k) =>
                                                `${k === 0 ? 'M' : 'L'}${x(t).toFixed(1)} ${y(data.high[n]?.[k] ?? 0).toFixed(1)}L${x(t).toFixed(1)} ${y(data.low[n]?.[k] ?? 0).toFixed(1)}`,
                                        )
                                        .join('')}
                                    fill="none"
                                    className={looks[i] ?? 'stroke-soft'}
                                    strokeWidth={i === 0 ? 1.6 : 1.1}
                                    strokeDasharray={i === 0 ? undefined : '3 2'}
                                />
                            ))}
                            {r.modes.slice(1).map((m) =>
                                inside(m.t) ? (
                                    <g key={m.t}>
                                        <line
                                            x1={x(m.t)}
                                            x2={x(m.t)}
                                            y1={TOP}
                                            y2={FOOT}
                                            className="stroke-ink"
                                            strokeDasharray="2 3"
                                        />
                                        <text
                                            x={x(m.t) + 4}
                                            y={TOP + 10}
                                            className="fill-ink text-[12px] font-semibold"
                                        >
                                            {m.mode}
                                        </text>
                                    </g>
                                ) : null,
                            )}
                            {watched &&
                                r.changes
                                    .filter((c) => inside(c.t))
                                    .map((c) => (
                                        <g key={c.t} className={c.look === 'stop' ? 'fill-rust' : 'fill-ink'}>
                                            <circle cx={x(c.t)} cy={y(c.high)} r="4" />
                                            <circle cx={x(c.t)} cy={y(c.low)} r="4" />
                                        </g>
                                    ))}
                        </>
                    )}
                    {!data && (
                        <text x="550" y="180" textAnchor="middle" className="fill-soft text-[14px]">
                            Reading…
                        </text>
                    )}
                    {names.map((n, i) => (
                        <g key={n}>
                            <line
                                x1={LEFT + i * 180}
                                x2={LEFT + 30 + i * 180}
                                y1="376"
                                y2="376"
                                className={looks[i] ?? 'stroke-soft'}
                                strokeWidth="2"
                                strokeDasharray={i === 0 ? undefined : '3 2'}
                            />
                            <text x={LEFT + 36 + i * 180} y="380" className="fill-ink text-[12px]">
                                {n.endsWith('_2') ? 'the other engine' : n}, {signals[i]?.unit}
                            </text>
                        </g>
                    ))}
                </svg>
            </section>
        </div>
    );
}
