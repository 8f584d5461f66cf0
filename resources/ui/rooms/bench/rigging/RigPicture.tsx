import { Arc } from '../../../parts/Arc';
import { unitLabel } from '../../floor/ReadingField';
import { Linkage } from './Linkage';
import { type Run, type Spec, turnedSoFar, type Values } from './model';

/** The linkage as its model draws it; one arc for each point where it has no drawing. */
export function RigPicture({
    spec,
    runs,
    typed,
    foretold,
}: {
    spec: Spec;
    runs: Run[];
    typed: Record<string, number>;
    /** what would be read next, where other turns are typed than were advised */
    foretold?: Values | undefined;
}) {
    const run = runs.at(-1);
    const seen = new Map(run?.points.map((p) => [p.id, p]));
    const typing = Object.keys(typed).length > 0;
    const read = Object.fromEntries(spec.points.map((p) => [p.id, typed[p.id] ?? seen.get(p.id)?.read]));
    const next = Object.fromEntries(
        spec.points.map((p) => [
            p.id,
            typing || run?.verdict === 'within' ? undefined : (foretold?.[p.id] ?? seen.get(p.id)?.next ?? undefined),
        ]),
    );
    const outside = new Set((run?.points ?? []).filter((p) => !p.within && typed[p.id] === undefined).map((p) => p.id));
    if (spec.drawing) {
        return (
            <Linkage
                drawing={spec.drawing}
                points={spec.points}
                adjusters={spec.adjusters}
                read={read}
                next={next}
                outside={outside}
                turned={turnedSoFar(runs)}
                advised={
                    run && run.turned === null ? Object.fromEntries(run.moves.map((m) => [m.adjuster, m.said])) : {}
                }
            />
        );
    }
    return (
        <div className="grid grid-cols-3 gap-3">
            {spec.points.map((p) => {
                const [is, goal] = [read[p.id], next[p.id]];
                const good = !outside.has(p.id);
                return (
                    <Arc
                        key={p.id}
                        title={p.title}
                        unit={unitLabel(p.unit)}
                        limit={{ low: p.min, high: p.max }}
                        needles={[
                            ...(is === undefined
                                ? []
                                : [{ name: 'found', value: is, look: good ? ('good' as const) : ('found' as const) }]),
                            ...(goal === undefined || goal === is
                                ? []
                                : [{ name: 'after the turns', value: goal, look: 'predicted' as const }]),
                        ]}
                    />
                );
            })}
        </div>
    );
}
