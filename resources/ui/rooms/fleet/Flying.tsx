import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useHistory } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Months } from '../../parts/Months';
import { Section, Wait } from '../../parts/Page';
import { FlyingDone } from './FlyingDone';
import { Correct, Enter } from './FlyingForms';
import { FlyingPlan } from './FlyingPlan';

/** What an aircraft flew, month by month and day by day, and what was done to it. */
export function Flying({ aircraft, may }: { aircraft: Schemas['AircraftView']; may: boolean }) {
    return (
        <Wait query={useHistory(aircraft.mark)}>
            {(history) => <FlyingOf aircraft={aircraft} history={history} may={may} />}
        </Wait>
    );
}

function FlyingOf({
    aircraft,
    history,
    may,
}: {
    aircraft: Schemas['AircraftView'];
    history: Schemas['HistoryView'];
    may: boolean;
}) {
    const [entering, setEntering] = useState(false);
    const [wrong, setWrong] = useState<Schemas['FlyingView'] | null>(null);
    const [all, setAll] = useState(false);
    return (
        <>
            <Section
                title="Flown, by month"
                aside={
                    may && (
                        <Button kind="main" className="noprint" onClick={() => setEntering(true)}>
                            Enter a day's flying
                        </Button>
                    )
                }
            >
                <Months months={history.months} mean={aircraft.plan.rates.fh ?? 0} />
            </Section>
            <div className="grid grid-cols-2 gap-8">
                <Section title="Flown, by day">
                    <table className="w-full text-left">
                        <tbody>
                            {history.flying.slice(0, all ? undefined : 12).map((f) => (
                                <tr key={f.id} className="border-b border-rule/60" data-flown={f.date}>
                                    <td
                                        className={`py-1 pr-4 whitespace-nowrap ${f.current ? '' : 'text-soft line-through'}`}
                                    >
                                        {short(f.date, aircraft.today)}
                                    </td>
                                    <td className={`pr-4 ${f.current ? '' : 'text-soft line-through'}`}>{f.flown}</td>
                                    <td className="pr-4 text-sm text-soft">
                                        {f.reason
                                            ? `corrected: ${f.reason}`
                                            : { hand: 'by hand', feed: 'from the programme' }[f.source]}
                                        {f.by && `, ${f.by}`}
                                    </td>
                                    <td className="text-right">
                                        {may && f.current && (
                                            <button
                                                type="button"
                                                className="min-h-9 px-2 text-sm underline underline-offset-4"
                                                onClick={() => setWrong(f)}
                                            >
                                                Correct
                                            </button>
                                        )}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                    {history.flying.length === 0 && <p className="py-4 text-soft">Nothing was entered yet.</p>}
                    {history.flying.length > 12 && (
                        <Button kind="quiet" className="text-sm" onClick={() => setAll(!all)}>
                            {all ? 'Fewer days' : `All ${history.flying.length} days`}
                        </Button>
                    )}
                    <FlyingPlan aircraft={aircraft} may={may} />
                </Section>
                <FlyingDone aircraft={aircraft} history={history} />
            </div>
            {entering && <Enter aircraft={aircraft} onClose={() => setEntering(false)} />}
            {wrong && <Correct aircraft={aircraft} entry={wrong} onClose={() => setWrong(null)} />}
        </>
    );
}
