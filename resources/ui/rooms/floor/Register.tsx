import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useRegister, useRegisters } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Drawing, type Outline } from '../../parts/Drawing';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Unproven } from './NotWhole';
import { floorTabs } from './tabs';

/** The aircraft that something is fitted to. */
export function Registers() {
    return (
        <Wait query={useRegisters()}>
            {(r) => (
                <Page over={<Tabs label="Floor" tabs={floorTabs} />} sentence={r.sentence}>
                    <ul className="divide-y divide-rule/70">
                        {r.aircraft.map((a) => (
                            <li key={a.mark}>
                                <Link
                                    to={`/floor/registers/${a.mark}`}
                                    className="grid min-h-16 grid-cols-[6rem_12rem_minmax(0,1fr)] items-center gap-3 py-2 hover:bg-sheet"
                                >
                                    <b className="font-mono text-[1.1rem]">{a.mark}</b>
                                    <span>
                                        <b>{a.devices}</b> fitted
                                        {a.openLines > 0 && (
                                            <>
                                                , <b className="text-rust">{a.openLines} open</b>
                                            </>
                                        )}
                                        {a.people > 0 && (
                                            <span className="block text-sm text-soft">{a.people} at work on it</span>
                                        )}
                                    </span>
                                    <span className="text-soft">{a.said}</span>
                                </Link>
                            </li>
                        ))}
                    </ul>
                </Page>
            )}
        </Wait>
    );
}

/** The safing register of one aircraft, drawn and listed, and printed for the folder. */
export function Register() {
    return <Wait query={useRegister(String(useParams().mark))}>{(r) => <RegisterOf r={r} />}</Wait>;
}

function RegisterOf({ r }: { r: Schemas['RegisterView'] }) {
    return (
        <Page
            over={<Tabs label="Floor" tabs={floorTabs} />}
            sentence={r.sentence}
            note={`${r.mark}, ${r.type}. As of ${r.asOf}.`}
            actions={<Button onClick={() => window.print()}>Print for the folder</Button>}
        >
            <div className="grid gap-4">
                <div>
                    {r.drawing && <Drawing outline={r.drawing.outline as Outline} marks={r.drawing.marks} />}
                    {r.undrawn.length > 0 && (
                        <p className="mt-1 text-sm text-soft">Not on the drawing: {r.undrawn.join('; ')}.</p>
                    )}
                </div>
                <div>
                    {r.devices.length === 0 && (
                        <p className="text-soft">No lock, pin, cap, collar, notice or open line.</p>
                    )}
                    <ol className="grid grid-cols-2 gap-x-8 max-[1100px]:grid-cols-1 print:grid-cols-2">
                        {r.devices.map((d, i) => (
                            <li
                                key={d.id}
                                className="grid grid-cols-[2.4rem_minmax(0,1fr)_auto] gap-2 border-t border-rule py-3"
                                data-device={d.kind}
                            >
                                <span className="grid size-8 place-items-center rounded-full border-2 border-ink font-mono font-bold">
                                    {i + 1}
                                </span>
                                <span>
                                    <b className="text-[1.1rem]">{d.kind}</b>{' '}
                                    {d.openLine && <State state="stop" word="open line" />}
                                    {d.carriedBy && <State state="waiting" word={`carried by ${d.carriedBy}`} />}
                                    <span className="block">
                                        {d.place}; {d.flag}
                                    </span>
                                    <span className="block text-sm text-soft">
                                        since {d.since}
                                        {d.days > 0 && ` (${d.days} ${d.days === 1 ? 'day' : 'days'})`}, {d.by}, card{' '}
                                        {d.card}
                                        {d.against.length > 0 &&
                                            `; against ${d.against.map((s) => (s === '*' ? 'every system' : s)).join(', ')}`}
                                    </span>
                                    {d.storage && <span className="block text-sm">Kept: {d.storage}</span>}
                                </span>
                                {d.remover ? (
                                    <ButtonLink
                                        to={`/floor/${d.removerCard}?step=${d.removerStep}`}
                                        className="self-center text-sm print:min-h-0 print:border-0 print:px-0"
                                    >
                                        off at {d.remover}
                                    </ButtonLink>
                                ) : (
                                    <span className="self-center text-sm font-semibold text-rust">
                                        {d.carriedBy ? '' : 'no step takes it off'}
                                    </span>
                                )}
                            </li>
                        ))}
                    </ol>
                </div>
            </div>
            {r.notWhole.length > 0 && <Unproven r={r} />}
            {r.people.length > 0 && (
                <Section title={`At work on ${r.mark} now`}>
                    <ul>
                        {r.people.map((p) => (
                            <li key={p.personId} className="py-1">
                                <b>{p.name}</b> <span className="text-soft">since {p.since}</span>
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            <div className="mt-8 hidden break-inside-avoid space-y-6 print:block" aria-hidden="true">
                {['Counted on the aircraft by', 'Stamp', 'Day and time'].map((line) => (
                    <p key={line} className="flex gap-4">
                        <span className="w-52">{line}</span>
                        <span className="flex-1 border-b border-ink" />
                    </p>
                ))}
            </div>
        </Page>
    );
}
