import { domain, place } from '../../../parts/scale';
import type { Part } from './linkage';
import type { Point } from './model';

/** The same on a straight scale, where half a degree shows: limits, what is read, what should be next. */
export function Readout(props: {
    part: Part;
    point: Point;
    value: number | undefined;
    goal: number | undefined;
    out: boolean;
    /** how far the lever itself reaches below its pivot */
    under: number;
}) {
    const { part, point, value, goal, out, under } = props;
    const [x, y] = part.at ?? [0, 0];
    const limit = { low: point.min, high: point.max };
    const ends = domain(
        limit,
        [value, goal].filter((v) => v !== undefined),
    );
    const at = (v: number) => -80 + 160 * Math.min(1, Math.max(0, place(v, ends)));
    return (
        <g transform={`translate(${x} ${y + 52 + under})`}>
            <text y="-26" textAnchor="middle" className="fill-soft text-[15px]">
                {part.text ?? point.title}
                {value !== undefined && (
                    <tspan dx="7" className={`font-mono text-[18px] font-bold ${out ? 'fill-rust' : 'fill-ink'}`}>
                        {Number(value.toFixed(2))}
                    </tspan>
                )}
            </text>
            <rect x="-80" y="-4" width="160" height="8" rx="4" className="fill-rule" opacity="0.5" />
            <rect
                x={at(point.min)}
                y="-8"
                width={at(point.max) - at(point.min)}
                height="16"
                className="fill-spruce-wash"
            />
            {[point.min, point.max].map((v) => (
                <g key={v}>
                    <line x1={at(v)} x2={at(v)} y1="-10" y2="10" className="stroke-spruce" strokeWidth="2.5" />
                    <text x={at(v)} y="27" textAnchor="middle" className="fill-soft font-mono text-[14px]">
                        {v}
                    </text>
                </g>
            ))}
            {goal !== undefined && (
                <path d={`M${at(goal)} -9l6 9-6 9-6-9z`} fill="none" className="stroke-spruce" strokeWidth="2.5" />
            )}
            {value !== undefined && (
                <line
                    x1={at(value)}
                    x2={at(value)}
                    y1="-14"
                    y2="14"
                    className={out ? 'stroke-rust' : 'stroke-ink'}
                    strokeWidth="5"
                    strokeLinecap="round"
                />
            )}
        </g>
    );
}
