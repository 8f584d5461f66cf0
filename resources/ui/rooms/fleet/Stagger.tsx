import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useStagger } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Scroll, Section, Wait } from '../../parts/Page';
import { StaggerLine } from '../../parts/StaggerLine';
import { Glyph } from '../../parts/State';
import { halves } from '../../parts/scale';
import { Choice, Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

const lengths = [4, 6, 8, 12].map((w) => ({ value: w, name: `${w} weeks` }));

/** Phased fleets against their straight lines, and the hours that bring each back. */
export function Stagger() {
    const [weeks, setWeeks] = useState(6);
    const [asked, setAsked] = useState<{ fleet: string; task: number } | null>(null);
    return (
        <Wait query={useStagger({ weeks, ...asked })}>
            {(room) => (
                <Page
                    over={<Tabs label="Fleet" tabs={fleetViews} />}
                    sentence={room.sentence}
                    note="Sorted by hours left, a healthy fleet lies on a straight line from full to nought, and its phases come one after another."
                    actions={<Button onClick={() => window.print()}>Print</Button>}
                >
                    <div className="noprint">
                        <Choice label="How far" options={lengths} value={weeks} onChange={setWeeks} />
                    </div>
                    {room.fleets.map((f, i) => (
                        <FleetLine
                            key={f.fleet + f.type}
                            fleet={f}
                            said={i > 0}
                            onTask={(task) => setAsked(task === null ? null : { fleet: f.fleet, task })}
                        />
                    ))}
                </Page>
            )}
        </Wait>
    );
}

function FleetLine({
    fleet,
    said,
    onTask,
}: {
    fleet: Schemas['StaggerView'];
    said: boolean;
    onTask: (task: number | null) => void;
}) {
    const [task, setTask] = useState('');
    return (
        <Section
            title={`${fleet.name}, ${fleet.type}: phases ${fleet.interval} h apart`}
            aside={
                <form
                    className="noprint flex items-center gap-2 text-sm"
                    onSubmit={(e) => {
                        e.preventDefault();
                        onTask(task.trim() === '' ? null : Number(task));
                    }}
                >
                    <label>
                        Task, h a week{' '}
                        <input
                            className="ml-1 h-8 w-20 rounded-md border border-rule bg-sheet px-2"
                            inputMode="decimal"
                            value={task}
                            placeholder={String(fleet.tasks[0] ?? '')}
                            onChange={(e) => setTask(e.target.value)}
                        />
                    </label>
                    <button type="submit" className="underline underline-offset-4">
                        Work out
                    </button>
                </form>
            }
        >
            {said && <p className="mb-2">{fleet.sentence}</p>}
            <StaggerLine fleet={fleet} />
            <Scroll label={`Hours for ${fleet.name}`} className="mt-4">
                <table className="w-full text-left" data-stagger={fleet.fleet}>
                    <thead className="text-sm text-soft">
                        <tr>
                            <th className="py-1 font-semibold">Aircraft</th>
                            <th className="px-2 font-semibold">Next phase</th>
                            <th className="px-2 text-right font-semibold">Left</th>
                            <th className="px-2 text-right font-semibold">Off the line</th>
                            {fleet.weeks.map((w) => (
                                <th key={w} className="px-1 text-right font-semibold whitespace-nowrap">
                                    {short(w, w)}
                                </th>
                            ))}
                            <th className="px-2 text-right font-semibold">Fly in all</th>
                            <th className="px-2 font-semibold">Which is</th>
                            <th className="px-2 text-right font-semibold">Left then</th>
                        </tr>
                    </thead>
                    <tbody>
                        {fleet.rows.map((r) => (
                            <tr key={r.mark} className="border-t border-rule/60">
                                <td className="py-1.5 whitespace-nowrap">
                                    <Glyph state={r.state} />{' '}
                                    <Link
                                        className="font-mono font-semibold underline underline-offset-4"
                                        to={`/fleet/${r.mark}`}
                                    >
                                        {r.mark}
                                    </Link>
                                </td>
                                <td className="px-2 whitespace-nowrap">
                                    {r.next} <span className="text-sm text-soft">{short(r.date)}</span>
                                </td>
                                <td className="px-2 text-right font-mono">{halves(r.left)}</td>
                                <td className="px-2 text-right font-mono">
                                    {r.distance > 0 ? '+' : ''}
                                    {halves(r.distance)}
                                </td>
                                {r.hours.map((h, i) => (
                                    <td
                                        key={fleet.weeks[i]}
                                        className="px-1 text-right font-mono"
                                        title={r.weekNotes[i]}
                                    >
                                        {r.weekNotes[i] ? (
                                            <span
                                                className={`inline-block rounded-sm px-1 ${r.unplanned === i ? 'border border-dashed border-slate' : 'bg-shade'} text-slate`}
                                            >
                                                {h > 0 ? halves(h) : 'in'}
                                            </span>
                                        ) : (
                                            halves(h)
                                        )}
                                    </td>
                                ))}
                                <td className="px-2 text-right font-mono font-semibold">{halves(r.total)}</td>
                                <td className="px-2 text-sm whitespace-nowrap text-soft">{r.advice}</td>
                                <td className="px-2 text-right font-mono">
                                    {halves(r.endLeft)} <span className="text-soft">/ {halves(r.endTarget)}</span>
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </Scroll>
            <p className="mt-2 text-sm text-soft">
                Hours a week that bring the fleet nearest its line within its task, with none running into its phase.
                Shaded: in a visit; dashed: a phase falls due and is not planned yet. Left then: after these weeks,
                beside where the line is.
            </p>
        </Section>
    );
}
