import { useId } from 'react';
import type { Schemas } from '../../api/client';
import { place, ticks } from '../../parts/scale';
import { FOOT, LEFT, type On, RIGHT, TOP } from './plotFrame';
import { Bounds, Changes } from './RecordingMarks';
import type { Stretch } from './stretch';

type Recording = Schemas['RecordingView'];
type Signal = Schemas['SignalView'];
type Samples = Schemas['ThinnedView'];

const looks = ['stroke-ink', 'stroke-slate'];
const lookOf = (i: number) => ({
    className: looks[i] ?? 'stroke-soft',
    strokeDasharray: i === 0 ? undefined : '3 2',
});

/** One signal, or that of both engines, with limits, reference, changes of mode and gaps. */
export function RecordingPlot({
    r,
    signals,
    view,
    data,
}: {
    r: Recording;
    signals: Signal[];
    view: Stretch;
    /** Nothing while it is read. */
    data: Samples | undefined;
}) {
    const names = signals.map((s) => s.signal);
    // What is kept while another signal is read is not of that one.
    const of = data !== undefined && names.every((n) => data.low[n] !== undefined) ? data : undefined;
    return (
        <svg viewBox="0 0 1100 390" className="w-full" role="img" aria-label={`${names.join(' and ')} over time`}>
            {of === undefined && (
                <text x="550" y="180" textAnchor="middle" className="fill-soft text-[14px]">
                    Reading…
                </text>
            )}
            {of && of.t.length > 0 && <Plot r={r} signals={signals} view={view} data={of} />}
            {signals.map((s, i) => (
                <g key={s.signal}>
                    <line
                        x1={LEFT + i * 180}
                        x2={LEFT + 30 + i * 180}
                        y1="376"
                        y2="376"
                        strokeWidth="2"
                        {...lookOf(i)}
                    />
                    <text x={LEFT + 36 + i * 180} y="380" className="fill-ink text-[12px]">
                        {s.signal.endsWith('_2') ? 'the other engine' : s.signal}, {s.unit}
                    </text>
                </g>
            ))}
        </svg>
    );
}

function Plot({ r, signals, view, data }: { r: Recording; signals: Signal[]; view: Stretch; data: Samples }) {
    const frame = useId();
    const watched = signals.some((s) => s.signal === r.watched);
    const marks = [...signals.map((s) => s.limit), ...(watched ? [r.low, r.high] : [])].filter((v) => v !== null);
    const least = Math.min(...signals.flatMap((s) => data.low[s.signal] ?? []), ...marks);
    const most = Math.max(...signals.flatMap((s) => data.high[s.signal] ?? []), ...marks);
    const pad = (most - least || 1) * 0.08;
    const ends: Stretch = [least - pad, most + pad];
    const on: On = {
        x: (t) => LEFT + place(t, view) * (RIGHT - LEFT),
        y: (v) => FOOT - place(v, ends) * (FOOT - TOP),
    };
    return (
        <>
            {watched && r.low !== null && r.high !== null && (
                <rect
                    x={LEFT}
                    width={RIGHT - LEFT}
                    y={on.y(r.high)}
                    height={on.y(r.low) - on.y(r.high)}
                    className="fill-spruce-wash"
                />
            )}
            <Axes on={on} ends={ends} view={view} />
            {r.gaps.map((g) => (
                <rect
                    key={g.line}
                    x={on.x(Math.max(view[0], g.from))}
                    width={Math.max(0, on.x(Math.min(view[1], g.to)) - on.x(Math.max(view[0], g.from)))}
                    y={TOP}
                    height={FOOT - TOP}
                    className="fill-ochre-wash"
                />
            ))}
            <Bounds on={on} signals={signals} reference={watched ? r.reference : null} />
            <clipPath id={frame}>
                <rect x={LEFT} y={TOP} width={RIGHT - LEFT} height={FOOT - TOP} />
            </clipPath>
            {signals.map((s, i) => (
                <path
                    key={s.signal}
                    clipPath={`url(#${frame})`}
                    d={curve(data, s.signal, on)}
                    fill="none"
                    strokeWidth={i === 0 ? 1.6 : 1.1}
                    {...lookOf(i)}
                />
            ))}
            <Changes on={on} r={r} view={view} peaks={watched} />
        </>
    );
}

/** Of each moment the highest and the lowest, so that no peak is lost however much time lies in it. */
function curve(data: Samples, signal: string, { x, y }: On): string {
    const at = (t: number, v: number | undefined) => `${x(t).toFixed(1)} ${y(v ?? 0).toFixed(1)}`;
    return data.t
        .map((t, k) => `${k === 0 ? 'M' : 'L'}${at(t, data.high[signal]?.[k])}L${at(t, data.low[signal]?.[k])}`)
        .join('');
}

function Axes({ on, ends, view }: { on: On; ends: Stretch; view: Stretch }) {
    return (
        <>
            {ticks(ends, 6).map((v) => (
                <g key={v}>
                    <line x1={LEFT} x2={RIGHT} y1={on.y(v)} y2={on.y(v)} className="stroke-rule" />
                    <text x={LEFT - 6} y={on.y(v) + 4} textAnchor="end" className="fill-soft font-mono text-[12px]">
                        {v}
                    </text>
                </g>
            ))}
            {ticks(view, 8).map((v) => (
                <text key={v} x={on.x(v)} y={FOOT + 18} textAnchor="middle" className="fill-soft font-mono text-[12px]">
                    {v} s
                </text>
            ))}
        </>
    );
}
