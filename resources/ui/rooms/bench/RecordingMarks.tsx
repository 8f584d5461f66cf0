import type { Schemas } from '../../api/client';
import { FOOT, LEFT, type On, RIGHT, TOP } from './plotFrame';
import type { Stretch } from './stretch';

type Recording = Schemas['RecordingView'];
type Signal = Schemas['SignalView'];

/** What the signals must not pass, and what they are counted from. */
export function Bounds({ on, signals, reference }: { on: On; signals: Signal[]; reference: number | null }) {
    return (
        <>
            {signals.map((s) =>
                s.limit === null ? null : (
                    <g key={s.signal}>
                        <line
                            x1={LEFT}
                            x2={RIGHT}
                            y1={on.y(s.limit)}
                            y2={on.y(s.limit)}
                            className="stroke-rust"
                            strokeWidth="2"
                            strokeDasharray="8 4"
                        />
                        <text
                            x={RIGHT}
                            y={on.y(s.limit) - 5}
                            textAnchor="end"
                            className="fill-rust text-[12px] font-semibold"
                        >
                            limit {Number(s.limit.toFixed(2))} {s.unit}
                        </text>
                    </g>
                ),
            )}
            {reference !== null && (
                <g>
                    <line
                        x1={LEFT}
                        x2={RIGHT}
                        y1={on.y(reference)}
                        y2={on.y(reference)}
                        className="stroke-spruce"
                        strokeWidth="1.5"
                    />
                    <text x={LEFT + 6} y={on.y(reference) - 5} className="fill-spruce text-[12px] font-semibold">
                        reference {reference.toFixed(1)}
                    </text>
                </g>
            )}
        </>
    );
}

/** Where the mode changed, and, of what is watched, how far it swung. */
export function Changes({ on, r, view, peaks }: { on: On; r: Recording; view: Stretch; peaks: boolean }) {
    const inside = ({ t }: { t: number }) => t >= view[0] && t <= view[1];
    return (
        <>
            {r.modes
                .slice(1)
                .filter(inside)
                .map((m) => (
                    <g key={m.t}>
                        <line
                            x1={on.x(m.t)}
                            x2={on.x(m.t)}
                            y1={TOP}
                            y2={FOOT}
                            className="stroke-ink"
                            strokeDasharray="2 3"
                        />
                        <text x={on.x(m.t) + 4} y={TOP + 10} className="fill-ink text-[12px] font-semibold">
                            {m.mode}
                        </text>
                    </g>
                ))}
            {peaks &&
                r.changes.filter(inside).map((c) => (
                    <g key={c.t} className={c.look === 'stop' ? 'fill-rust' : 'fill-ink'}>
                        <circle cx={on.x(c.t)} cy={on.y(c.high)} r="4" />
                        <circle cx={on.x(c.t)} cy={on.y(c.low)} r="4" />
                    </g>
                ))}
        </>
    );
}
