import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useStagger } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Scroll, Section, Wait } from '../../parts/Page';
import { Glyph } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

const lengths = [4, 6, 8, 12].map((w) => ({ value: w, name: `${w} weeks` }));
const whole = (v: number): string => (Math.round(v * 2) / 2).toLocaleString('en-GB');

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

function FleetLine({ fleet, said, onTask }: { fleet: Schemas['StaggerView']; said: boolean; onTask: (task: number | null) => void }) {
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
            <Line fleet={fleet} />
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
                                    <Link className="font-mono font-semibold underline underline-offset-4" to={`/fleet/${r.mark}`}>
                                        {r.mark}
                                    </Link>
                                </td>
                                <td className="px-2 whitespace-nowrap">
                                    {r.next} <span className="text-sm text-soft">{short(r.date)}</span>
                                </td>
                                <td className="px-2 text-right font-mono">{whole(r.left)}</td>
                                <td className="px-2 text-right font-mono">
                                    {r.distance > 0 ? '+' : ''}
                                    {whole(r.distance)}
                                </td>
                                {r.hours.map((h, i) => (
                                    <td key={fleet.weeks[i]} className="px-1 text-right font-mono" title={r.weekNotes[i]}>
                                        {r.weekNotes[i] ? (
                                            <span
                                                className={`inline-block rounded-sm px-1 ${r.weekNotes[i]?.includes('not planned') ? 'border border-dashed border-slate' : 'bg-shade'} text-slate`}
                                            >
                                                {h > 0 ? whole(h) : 'in'}
                                            </span>
                                        ) : (
                                            whole(h)
                                        )}
                                    </td>
                                ))}
                                <td className="px-2 text-right font-mono font-semibold">{whole(r.total)}</td>
                                <td className="px-2 text-sm whitespace-nowrap text-soft">{r.advice}</td>
                                <td className="px-2 text-right font-mono">
                                    {whole(r.endLeft)} <span className="text-soft">/ {whole(r.endTarget)}</span>
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            </Scroll>
            <p className="mt-2 text-sm text-soft">
                Hours a week that bring the fleet nearest its line within its task, with none running into its phase. Shaded: in a visit;
                dashed: a phase falls due and is not planned yet. Left then: after these weeks, beside where the line is.
            </p>
        </Section>
    );
}

/** The fleet sorted by hours left, over its straight line; each drop is how far it is off. */
function Line({ fleet }: { fleet: Schemas['StaggerView'] }) {
    const n = fleet.rows.length;
    const top = Math.max(fleet.interval, ...fleet.rows.map((r) => r.left));
    const x = (i: number) => 70 + ((i + 0.5) / n) * 860;
    const y = (h: number) => 180 - (Math.max(0, h) / top) * 160;
    return (
        <svg
            viewBox="0 0 960 214"
            className="w-full max-w-5xl"
            role="img"
            aria-label={`${fleet.name}: hours left to the next phase against the straight line`}
        >
            {[0, 0.5, 1].map((part) => (
                <g key={part}>
                    <line x1="70" x2="930" y1={y(fleet.interval * part)} y2={y(fleet.interval * part)} className="stroke-rule" />
                    <text x="62" y={y(fleet.interval * part) + 4} textAnchor="end" className="fill-soft font-mono text-[13px]">
                        {whole(fleet.interval * part)} h
                    </text>
                </g>
            ))}
            <line x1="70" x2="930" y1={y(fleet.interval)} y2={y(0)} className="stroke-ink" strokeWidth="2" />
            {fleet.rows.map((r, i) => (
                <g key={r.mark} className={r.state === 'clear' ? 'text-spruce' : 'text-ochre'}>
                    <title>{`${r.mark}: ${whole(r.left)} h left, ${whole(Math.abs(r.distance))} h ${r.distance > 0 ? 'above' : 'below'} the line`}</title>
                    <line x1={x(i)} x2={x(i)} y1={y(r.left)} y2={y(r.target)} stroke="currentColor" strokeWidth="3" strokeDasharray="4 3" />
                    {r.state === 'clear' ? (
                        <circle cx={x(i)} cy={y(r.left)} r="6.5" className="fill-paper" stroke="currentColor" strokeWidth="2.5" />
                    ) : (
                        <>
                            <path
                                d={`M${x(i)} ${y(r.left) - 9}l9 9-9 9-9-9Z`}
                                className="fill-paper"
                                stroke="currentColor"
                                strokeWidth="2"
                            />
                            <path d={`M${x(i) - 9} ${y(r.left)}h18l-9 9Z`} fill="currentColor" />
                        </>
                    )}
                    <text x={x(i)} y="204" textAnchor="middle" className="fill-ink font-mono text-[14px] font-bold">
                        {r.mark}
                    </text>
                </g>
            ))}
        </svg>
    );
}
