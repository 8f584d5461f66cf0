import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useMe, useVisit, useWindow } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Section, Wait } from '../../parts/Page';
import { EditVisit } from './VisitLife';
import { VisitPage } from './VisitPage';
import { Forecast, one } from './WindowForecast';
import { Judge } from './WindowJudge';

/** The look window and the fix window: what is still going to be found, and whether there is time to fix it. */
export function Window() {
    return <Wait query={useWindow(Number(useParams().id))}>{(w) => <WindowOf w={w} />}</Wait>;
}

function WindowOf({ w }: { w: Schemas['WindowView'] }) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const [setting, setSetting] = useState(false);
    return (
        <VisitPage
            visit={w}
            verdict={w.verdict}
            sentence={w.sentence}
            note={`Look until ${short(w.lookUntil, w.lookUntil)}${w.lookSet ? '' : ' as planned'}, fix until ${short(w.fixUntil, w.lookUntil)}. ${w.byHand ?? `Expected from ${w.past.length} past inspections of the type.`}`}
            actions={may && <Button onClick={() => setSetting(true)}>Set it otherwise</Button>}
        >
            <div className="grid grid-cols-1 gap-8 lg:grid-cols-[3fr_2fr]">
                <Forecast w={w} />
                <div>
                    <h2 className="mb-2 font-semibold">Hours until it must leave</h2>
                    <Room w={w} />
                    <h2 className="mt-6 mb-2 font-semibold">What can be done</h2>
                    <ul className="divide-y divide-rule/70">
                        {w.levers.map((l) => (
                            <Lever key={l.what} lever={l} visit={w.id} may={may} />
                        ))}
                    </ul>
                    <p className="mt-2 text-sm text-soft">
                        The chance that the fix window holds, before and after. You decide.
                    </p>
                </div>
            </div>
            <Section title={`Past inspections of the ${w.type}`}>
                {w.past.length === 0 ? (
                    <p className="text-soft">
                        None yet: a wide guess is used until visits of this type have been released.
                    </p>
                ) : (
                    <table className="w-full max-w-4xl text-left">
                        <thead>
                            <tr className="border-b border-rule text-soft">
                                {[
                                    'Aircraft',
                                    'Inspection',
                                    'Ended',
                                    'Hours looked',
                                    'Findings',
                                    'In 100 h',
                                    'Hours to fix',
                                ].map((h) => (
                                    <th key={h} className="py-1 pr-4 font-normal">
                                        {h}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {w.past.map((p) => (
                                <tr key={p.mark + p.ended} className="border-b border-rule/70">
                                    <td className="py-1 font-mono">{p.mark}</td>
                                    <td>{p.title}</td>
                                    <td>{short(p.ended)}</td>
                                    <td>{one(p.hours)}</td>
                                    <td>{p.findings}</td>
                                    <td>{one(p.perHundred)}</td>
                                    <td>{one(p.fixHours)}</td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </Section>
            {setting && <Judge w={w} onClose={() => setSetting(false)} />}
        </VisitPage>
    );
}

/** What can be done, how the chance is after it, and the way to doing it. */
function Lever({ lever, visit, may }: { lever: Schemas['LeverView']; visit: number; may: boolean }) {
    const [doing, setDoing] = useState(false);
    return (
        <li className="py-1.5" data-lever={lever.what}>
            <div className="flex items-center justify-between gap-4">
                <span>{lever.what}</span>
                <span className="whitespace-nowrap">{lever.words}</span>
            </div>
            {may && (
                <div className="mt-1 flex flex-wrap gap-2">
                    {lever.links.map((l) => (
                        <ButtonLink key={l.to} to={l.to} big={false}>
                            {l.words}
                        </ButtonLink>
                    ))}
                    {lever.until !== null && (
                        <Button onClick={() => setDoing(true)}>Until {short(lever.until)}…</Button>
                    )}
                </div>
            )}
            {doing && lever.until !== null && <Later id={visit} until={lever.until} onClose={() => setDoing(false)} />}
        </li>
    );
}

function Later({ id, until, onClose }: { id: number; until: string; onClose: () => void }) {
    const visit = useVisit(id);
    return visit.data ? <EditVisit visit={{ ...visit.data, end: until }} onClose={onClose} /> : null;
}

/** Usable hours, and what takes them. */
function Room({ w }: { w: Schemas['WindowView'] }) {
    const usable = w.capacity + w.otherWork;
    const of = Math.max(usable, w.otherWork + w.openFix + w.expectedFix, 1);
    const wide = (v: number) => (v / of) * 400;
    const parts = [
        { name: 'other cards', hours: w.otherWork, look: 'fill-shade stroke-soft' },
        { name: 'fixes known', hours: w.openFix, look: 'fill-spruce stroke-spruce' },
        { name: 'fixes expected', hours: w.expectedFix, look: 'fill-spruce-wash stroke-spruce' },
    ];
    let at = 0;
    return (
        <>
            <svg viewBox="0 0 410 34" className="w-full" aria-hidden="true">
                {parts.map((p) => {
                    const from = at;
                    at += wide(p.hours);
                    return (
                        <rect
                            key={p.name}
                            x={from}
                            y="4"
                            width={Math.max(0, wide(p.hours))}
                            height="22"
                            className={p.look}
                        />
                    );
                })}
                <line x1={wide(usable)} x2={wide(usable)} y1="0" y2="32" className="stroke-rust" strokeWidth="3" />
            </svg>
            <dl className="grid grid-cols-[1fr_auto] gap-x-4">
                {[
                    ...parts.map((p) => [p.name, p.hours] as const),
                    ['usable, of those people are there', usable] as const,
                ].map(([name, h]) => (
                    <div key={name} className="contents">
                        <dt className="text-soft first-letter:uppercase">{name}</dt>
                        <dd className="text-right font-mono">{one(h)} h</dd>
                    </div>
                ))}
            </dl>
        </>
    );
}
