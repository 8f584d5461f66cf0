import { away, type Spot } from './linkage';

/** A lever or a rod as a stroke: as it is read, outside, as it should be next, or not read yet. */
export function Bar({ from, to, look = 'good' }: { from: Spot; to: Spot; look?: 'good' | 'out' | 'next' | 'rest' }) {
    return (
        <line
            x1={from[0]}
            y1={from[1]}
            x2={to[0]}
            y2={to[1]}
            className={{ good: 'stroke-ink', out: 'stroke-rust', next: 'stroke-spruce', rest: 'stroke-rule' }[look]}
            strokeWidth={look === 'next' ? 3 : 8}
            strokeDasharray={look === 'next' ? '7 6' : undefined}
            strokeLinecap="round"
        />
    );
}

/** A limit across the arc of a lever. */
export function Tick({ at, from, to, degrees }: { at: Spot; from: number; to: number; degrees: number }) {
    const [[x1, y1], [x2, y2]] = [away(at, from, degrees), away(at, to, degrees)];
    return <line x1={x1} y1={y1} x2={x2} y2={y2} className="stroke-spruce" strokeWidth="3" />;
}
