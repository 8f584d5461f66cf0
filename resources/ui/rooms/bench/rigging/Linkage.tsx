import { unitLabel } from '../../floor/ReadingField';
import { angle, arc, away, tip } from './linkage';
import { Rod, Screw } from './linkageParts';
import type { LinkageProps, PartProps } from './model';
import { Readout } from './Readout';
import { Bar, Tick } from './strokes';

/** A linkage as a linkage: levers at their angles with their limits, rods, cables and screws with their turns. */
export function Linkage(props: LinkageProps) {
    const { drawing } = props;
    const order = ['cable', 'rod', 'cam', 'lever', 'screw'];
    const parts = drawing.parts.toSorted((a, b) => order.indexOf(a.kind) - order.indexOf(b.kind));
    return (
        <svg
            viewBox={`0 0 ${drawing.width} ${drawing.height}`}
            className="w-full rounded-xl border border-rule bg-sheet"
            role="img"
            aria-label={props.points
                .map((p) => `${p.title} ${props.read[p.id] ?? 'not read'} ${unitLabel(p.unit)}`)
                .join(', ')}
            data-testid="linkage"
        >
            {parts.map((p, i) => {
                const Draw = { cable: Rod, rod: Rod, screw: Screw, lever: Lever, cam: Lever }[p.kind];
                // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a model stay in their order
                return <Draw key={i} part={p} {...props} />;
            })}
        </svg>
    );
}

export /** A lever, or a cam with its pick-up, over a protractor's arc with the band of its limits. */
function Lever({ part, points, read, next, outside }: PartProps) {
    const at = part.at ?? [0, 0];
    const point = points.find((p) => p.id === part.point);
    if (point === undefined) {
        return <Bar from={at} to={away(at, part.length ?? 0, part.zero ?? 0)} />;
    }
    const value = read[point.id];
    const goal = next[point.id];
    const [low, high] = [angle(part, point.min), angle(part, point.max)];
    const reach = part.length ?? 0;
    const radius = reach * 0.78;
    const out = outside.has(point.id);
    // A lever that points down has its scale beneath it.
    const under = Math.max(part.kind === 'cam' ? 8 : 0, ...[low, high].map((a) => away(at, reach, a)[1] - at[1]));
    const pad = Math.max(14, Math.abs(high - low) * 2);
    return (
        <g data-lever={point.id}>
            <path
                d={arc(at, radius, Math.min(low, high) - pad, Math.max(low, high) + pad)}
                fill="none"
                className="stroke-rule"
                strokeWidth="2"
            />
            <path d={arc(at, radius, low, high)} fill="none" className="stroke-spruce-wash" strokeWidth="16" />
            {[low, high].map((a) => (
                <Tick key={a} at={at} from={radius - 9} to={radius + 9} degrees={a} />
            ))}
            {goal !== undefined && <Bar from={at} to={tip(part, goal)} look="next" />}
            <Bar
                from={at}
                to={tip(part, value ?? (point.min + point.max) / 2)}
                look={value === undefined ? 'rest' : out ? 'out' : 'good'}
            />
            {part.kind === 'cam' && (
                <circle cx={at[0]} cy={at[1]} r={reach * 0.15} fill="none" className="stroke-ink" strokeWidth="3" />
            )}
            <circle cx={at[0]} cy={at[1]} r="7" className="fill-sheet stroke-ink" strokeWidth="3" />
            <Readout part={part} point={point} value={value} goal={goal} out={out} under={under} />
        </g>
    );
}
