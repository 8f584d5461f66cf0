import { unitLabel } from '../../floor/ReadingField';
import type { Run, Spec } from './model';

/** Every round beside the others: what was read and what had been foretold for it, and what was turned after it. */
export function RigHistory({ spec: { points, adjusters, ground }, runs }: { spec: Spec; runs: Run[] }) {
    const moved = adjusters.filter((a) => runs.some((r) => (r.turned?.[a.id] ?? 0) !== 0));
    return (
        <div className="mt-6 overflow-x-auto">
            <table className="text-left" data-testid="rig-history">
                <thead>
                    <tr className="text-sm text-soft">
                        <th className="py-1 pr-6 font-normal">Round</th>
                        {runs.map((r) => (
                            <th key={r.no} className="py-1 pr-6 font-normal whitespace-nowrap">
                                {r.no}
                                {ground && `, ground run ${r.ground}`}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {points.map((p) => (
                        <tr key={p.id} className="border-t border-rule/60 align-top">
                            <th className="py-1 pr-6 font-normal">{p.title}</th>
                            {runs.map((r, i) => {
                                const is = r.points.find((x) => x.id === p.id);
                                const before = runs[i - 1]?.points.find((x) => x.id === p.id);
                                return (
                                    <td key={r.no} className="py-1 pr-6 whitespace-nowrap">
                                        <b className={`font-mono ${is?.within ? '' : 'text-rust'}`}>
                                            {is?.read} {unitLabel(p.unit)}
                                        </b>
                                        {is?.doubted && <span className="ml-1 text-sm text-rust">does not fit</span>}
                                        {before?.next != null && (
                                            <span className="block text-sm text-soft">
                                                foretold {before.next.toFixed(1)} ± {(before.sure ?? 0).toFixed(1)}
                                            </span>
                                        )}
                                    </td>
                                );
                            })}
                        </tr>
                    ))}
                    {moved.map((a) => (
                        <tr key={a.id} className="border-t border-rule/60">
                            <th className="py-1 pr-6 font-normal text-spruce">{a.title}, turned after it</th>
                            {runs.map((r) => (
                                <td key={r.no} className="py-1 pr-6 whitespace-nowrap text-spruce">
                                    {r.turnedSaid[a.id]}
                                </td>
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </div>
    );
}
