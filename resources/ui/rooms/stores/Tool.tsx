import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useToolRoom } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Rechecks } from './Rechecks';
import { Check, Move } from './ToolForms';
import { ToolToken } from './ToolToken';
import { storeTabs } from './tabs';

type Room = Schemas['ToolRoom'];

/** One tool: its checks, where it is, and, when it is recalled, everything that rests on it. */
export function Tool() {
    return <Wait query={useToolRoom(String(useParams().code))}>{(room) => <ToolOf room={room} />}</Wait>;
}

function ToolOf({ room }: { room: Room }) {
    const [checking, setChecking] = useState(false);
    const [moving, setMoving] = useState<'away' | 'gone' | null>(null);
    const t = room.tool;
    const edit = room.may.includes('edit');
    return (
        <Page
            over={<Tabs label="Stores" tabs={storeTabs} />}
            sentence={room.sentence}
            note={`${t.title}, ${t.range}; ${t.out ? `out: ${t.out}` : t.place}; ${t.readings} readings in all.`}
            actions={
                <>
                    <Button onClick={() => window.print()}>Print</Button>
                    {edit && room.inUse && (
                        <>
                            <Button onClick={() => setChecking(true)}>Enter a check</Button>
                            {!room.away && <Button onClick={() => setMoving('away')}>Send for calibration</Button>}
                            <Button onClick={() => setMoving('gone')}>Out of use</Button>
                        </>
                    )}
                </>
            }
        >
            {room.recall && <Recall code={t.code} recall={room.recall} edit={edit} />}
            <Section title="Checks">
                <ul>
                    {room.checks.map((c) => (
                        <li
                            key={c.date + c.note}
                            className="grid grid-cols-[7rem_11rem_minmax(0,1fr)] gap-3 border-b border-rule/60 py-1.5"
                        >
                            <span>{short(c.date)}</span>
                            <State state={c.good ? 'clear' : 'stop'} word={c.good ? 'good' : 'out of tolerance'} />
                            <span>
                                {c.note} <span className="text-soft">{c.by}</span>
                            </span>
                        </li>
                    ))}
                    {room.checks.length === 0 && <li className="text-soft">No check is entered.</li>}
                </ul>
            </Section>
            {edit && room.inUse && <ToolToken code={t.code} />}
            {moving && <Move code={t.code} to={moving} onClose={() => setMoving(null)} />}
            {checking && <Check code={t.code} onClose={() => setChecking(false)} />}
        </Page>
    );
}

const checkWords: Record<string, string> = { stop: 'no re-check yet', waiting: 're-check open', clear: 'read again' };

/** What rests on a recalled tool, by aircraft and card. */
function Recall({ code, recall, edit }: { code: string; recall: Schemas['RecallView']; edit: boolean }) {
    const [opening, setOpening] = useState(false);
    return (
        <section aria-label="What rests on it" data-testid="recall">
            <p className="rounded-lg border-2 border-rust bg-rust-wash p-3">
                <b>Found out of tolerance on {short(recall.foundOn)}:</b> {recall.note}.{' '}
                {recall.lastGood
                    ? `Last known good on ${short(recall.lastGood)}; every reading since then is in doubt.`
                    : 'No check says that it ever was good; every reading is in doubt.'}
            </p>
            {edit && recall.toOpen > 0 && (
                <Button kind="main" big className="mt-3" onClick={() => setOpening(true)}>
                    Open {recall.toOpen === 1 ? 'the re-check' : `all ${recall.toOpen} re-checks`}…
                </Button>
            )}
            {opening && <Rechecks code={code} recall={recall} onClose={() => setOpening(false)} />}
            {recall.aircraft.map((a) => (
                <div key={a.mark} className="mt-5">
                    <h2 className="border-b border-rule pb-1 font-mono text-[1.1rem] font-bold">{a.mark}</h2>
                    {a.cards.map((c) => (
                        <div
                            key={c.id}
                            className="grid grid-cols-[minmax(0,18rem)_minmax(0,1fr)] gap-4 border-b border-rule/60 py-2 max-[900px]:grid-cols-1"
                        >
                            <div>
                                <Link className="font-semibold underline underline-offset-4" to={`/floor/${c.id}`}>
                                    {c.number} {c.title}
                                </Link>
                                <span className="block text-sm text-soft">
                                    {c.visitState === 'released' ? 'released since' : 'in work'}
                                </span>
                                <State state={c.state} word={checkWords[c.state]} />{' '}
                                {c.byCardId !== null && (
                                    <Link className="underline underline-offset-4" to={`/floor/${c.byCardId}`}>
                                        {c.byCard}
                                    </Link>
                                )}
                            </div>
                            <table className="w-full text-left">
                                <tbody>
                                    {c.readings.map((r) => (
                                        <tr key={r.point + r.at} className="border-t border-rule/40 first:border-0">
                                            <td className="py-1 pr-4">{r.point}</td>
                                            <td className="pr-4 text-right font-mono whitespace-nowrap">
                                                {r.value} {r.unit}
                                            </td>
                                            <td className="pr-4 text-sm">{r.verdict}</td>
                                            <td className="text-sm whitespace-nowrap text-soft">
                                                {r.at}, {r.by}
                                            </td>
                                        </tr>
                                    ))}
                                </tbody>
                            </table>
                        </div>
                    ))}
                </div>
            ))}
            {recall.aircraft.length === 0 && (
                <p className="mt-3 text-soft">No reading and no use of {code} since then.</p>
            )}
        </section>
    );
}
