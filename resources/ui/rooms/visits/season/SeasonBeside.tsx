import { Button } from '../../../parts/Button';
import type { Hands } from './useSeason';

/** The plan that was laid aside beside the one at hand, figure by figure. */
export function SeasonBeside({ hands }: { hands: Hands }) {
    const { season, aside } = hands;
    if (!aside) {
        return null;
    }
    const other = new Map(aside.figures.map((f) => [f.name, f.value]));
    return (
        <section className="mb-4 rounded-lg border border-rule px-3 py-2" aria-label="Two plans" data-testid="beside">
            <table className="text-left">
                <thead>
                    <tr className="text-soft">
                        <th className="pr-6 font-normal">Two plans</th>
                        <th className="pr-6 text-right font-normal">At hand</th>
                        <th className="pr-6 text-right font-normal">Laid aside</th>
                    </tr>
                </thead>
                <tbody>
                    {season.figures.map((f) => (
                        <tr key={f.name}>
                            <th scope="row" className="pr-6 font-normal">
                                {f.name}
                            </th>
                            <td className="pr-6 text-right font-semibold">{f.value}</td>
                            <td className="pr-6 text-right">{other.get(f.name)}</td>
                        </tr>
                    ))}
                    <tr>
                        <th scope="row" className="pr-6 font-normal">
                            visits that do not hold
                        </th>
                        <td className="pr-6 text-right font-semibold">
                            {season.visits.filter((v) => v.problems.length > 0).length}
                        </td>
                        <td className="pr-6 text-right">{aside.visits.filter((v) => v.problems.length > 0).length}</td>
                    </tr>
                </tbody>
            </table>
            <div className="mt-2 flex gap-2">
                <Button onClick={hands.exchange}>Exchange them</Button>
                <Button kind="quiet" onClick={hands.forgetAside}>
                    Put it away
                </Button>
            </div>
        </section>
    );
}
