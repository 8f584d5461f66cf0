import { unitLabel } from '../../floor/ReadingField';
import { joint, middle, type Spot, slope } from './linkage';
import type { LinkageProps, PartProps, Values } from './model';

/** A rod or a cable between two joints, with what was turned of it and what is to be. */
export function Rod(props: PartProps) {
    const { part, drawing } = props;
    const stands = standing(props);
    const [from, to] = [joint(drawing, part.from, stands), joint(drawing, part.to, stands)];
    const [x, y] = middle(from, to);
    return (
        <g>
            <line
                x1={from[0]}
                y1={from[1]}
                x2={to[0]}
                y2={to[1]}
                className="stroke-soft"
                strokeWidth={part.kind === 'cable' ? 2.5 : 7}
                strokeDasharray={part.kind === 'cable' ? '8 3' : undefined}
                strokeLinecap="round"
            />
            {part.adjuster !== undefined && (
                <g transform={`translate(${x} ${y}) rotate(${slope(from, to)})`}>
                    <rect
                        x="-26"
                        y="-8"
                        width="52"
                        height="16"
                        rx="3"
                        className="fill-sheet stroke-ink"
                        strokeWidth="2.5"
                    />
                    {[-34, -30, 30, 34].map((t) => (
                        <line key={t} x1={t} y1="-5" x2={t} y2="5" className="stroke-ink" strokeWidth="2" />
                    ))}
                </g>
            )}
            {part.adjuster !== undefined && (
                <Said {...props} at={typeof part.to === 'string' && Array.isArray(part.from) ? from : [x, y - 6]} />
            )}
        </g>
    );
}

/** A screw from its head: its slot stands as far as it was turned. */
export function Screw(props: PartProps) {
    const { part, turned, adjusters } = props;
    const [x, y] = part.at ?? [0, 0];
    const is = adjusters.find((a) => a.id === part.adjuster);
    const share = { turns: 1, flats: 1 / 6, deg: 1 / 360 }[is?.unit ?? ''] ?? 0;
    const turns = (turned[part.adjuster ?? ''] ?? 0) * share * (is?.positive === 'ccw' ? -1 : 1);
    return (
        <g transform={`translate(${x} ${y})`}>
            <path
                d="M12 0 6 10.4-6 10.4-12 0-6-10.4 6-10.4Z"
                className="fill-sheet stroke-ink"
                strokeWidth="2.5"
                transform={`rotate(${turns * 360})`}
            />
            <line
                x1="-7"
                x2="7"
                y1="0"
                y2="0"
                className="stroke-ink"
                strokeWidth="3"
                transform={`rotate(${turns * 360 - 45})`}
            />
            <Said {...props} at={[0, -6]} />
        </g>
    );
}

/** What is to be turned stands over its adjuster; else what was. */
function Said({ part, adjusters, turned, advised, at: [x, y] }: PartProps & { at: Spot }) {
    const id = part.adjuster ?? '';
    const is = adjusters.find((a) => a.id === id);
    const next = advised[id];
    const so = turned[id] ?? 0;
    const sofar = so === 0 ? '' : `${so > 0 ? '+' : '−'}${Math.abs(so)} ${unitLabel(is?.unit ?? '')}`;
    return (
        <>
            <text x={x} y={y - 12} textAnchor="middle" className="fill-soft text-[15px]">
                {part.text ?? is?.title}
                {sofar !== '' && `, ${sofar}`}
            </text>
            {next && (
                <text
                    x={x}
                    y={y - 30}
                    textAnchor="middle"
                    className="fill-spruce text-[17px] font-bold"
                    data-testid="advised"
                >
                    {next}
                </text>
            )}
        </>
    );
}

/** Where each point stands: as it is read, in the middle of its limits while it is not. */
const standing = ({ points, read }: LinkageProps): Values =>
    Object.fromEntries(points.map((p) => [p.id, read[p.id] ?? (p.min + p.max) / 2]));
