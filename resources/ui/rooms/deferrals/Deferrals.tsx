import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDeferrals, useMe } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Defers, Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { DeferSheet } from './DeferSheet';

/** What is carried, by what runs out first, and the findings that wait for a decision. */
export function Deferrals() {
    const may = useMe().data?.may ?? [];
    const [choice, setChoice] = useState<{ finding: Schemas['OpenFinding']; option: Schemas['OptionView'] } | null>(
        null,
    );
    return (
        <Wait query={useDeferrals()}>
            {(room) => (
                <Page sentence={room.sentence}>
                    {room.findings.length > 0 && (
                        <Section title="Findings waiting for a decision">
                            <ul className="divide-y divide-rule">
                                {room.findings.map((f) => (
                                    <li key={f.id} className="py-3" data-finding={f.number}>
                                        <p>
                                            <State state="stop" word="open" />{' '}
                                            <b className="ml-2 font-mono">{f.mark}</b>{' '}
                                            <span className="font-mono text-sm text-soft">{f.number}</span>{' '}
                                            <b>{f.place}</b>: {f.extent}{' '}
                                            <span className="text-sm text-soft">
                                                {f.raisedAt}, {f.raisedBy}, from{' '}
                                                <Link
                                                    to={`/floor/${f.cardId}`}
                                                    className="underline underline-offset-4"
                                                >
                                                    card {f.card}
                                                </Link>
                                                {f.fixCard &&
                                                    `; card ${f.fixCard} is to fix it, and is withdrawn if it is deferred`}
                                            </span>
                                        </p>
                                        {f.options.length === 0 && (
                                            <p className="mt-1 text-sm text-soft">
                                                No listed item of its chapter covers it: it must be fixed before
                                                release.
                                            </p>
                                        )}
                                        <ul className="mt-2 space-y-2">
                                            {f.options.map((o) => (
                                                <li
                                                    key={o.id}
                                                    className="flex items-center justify-between gap-4 rounded-lg border border-rule bg-sheet px-4 py-2"
                                                >
                                                    <span>
                                                        <span className="font-mono text-sm text-soft">{o.code}</span>{' '}
                                                        <b>{o.title}</b>, category {o.category}. {o.said}.
                                                        <span className="block text-sm text-soft">{o.conditions}</span>
                                                    </span>
                                                    {may.includes('defer') && (
                                                        <Button
                                                            className="shrink-0"
                                                            onClick={() => setChoice({ finding: f, option: o })}
                                                        >
                                                            Defer under {o.code}
                                                        </Button>
                                                    )}
                                                </li>
                                            ))}
                                        </ul>
                                    </li>
                                ))}
                            </ul>
                        </Section>
                    )}
                    <Section title={`${room.deferrals.length} carried`}>
                        {room.deferrals.length === 0 && <p className="py-3 text-soft">Nothing is carried.</p>}
                        <ul className="divide-y divide-rule">
                            {room.deferrals.map((d) => (
                                <li
                                    key={d.id}
                                    className="grid grid-cols-[5.5rem_5.5rem_minmax(0,1fr)_minmax(0,19rem)] items-start gap-4 py-3"
                                    data-deferral={d.finding}
                                >
                                    <State state={d.state} />
                                    <Link
                                        to={`/fleet/${d.mark}`}
                                        className="font-mono font-bold underline underline-offset-4"
                                    >
                                        {d.mark}
                                    </Link>
                                    <div className="min-w-0">
                                        <b>{d.title}</b>{' '}
                                        <span className="font-mono text-sm text-soft">
                                            {d.item}, category {d.category}, {d.finding}
                                        </span>
                                        <span className="block text-sm text-soft">
                                            {d.place}: {d.extent}
                                        </span>
                                        <span className="block text-sm text-soft">
                                            Placard <span className="font-mono">{d.placard}</span>. {d.conditions}
                                        </span>
                                    </div>
                                    <div>
                                        <b>{d.said}</b>
                                        <Fuse days={d.daysLeft} state={d.state} />
                                        <span className="block text-sm text-soft">
                                            found {d.discovered}
                                            {d.expires && `; expires ${d.expires} local`}
                                            {d.left && `; ${d.left}`}
                                        </span>
                                    </div>
                                </li>
                            ))}
                        </ul>
                    </Section>
                    <Defers />
                    {choice && <DeferSheet {...choice} onClose={() => setChoice(null)} />}
                </Page>
            )}
        </Wait>
    );
}

/** A fuse that shortens: thirty days are its full length. */
function Fuse({ days, state }: { days: number | null; state: string }) {
    const left = Math.max(0, Math.min(30, days ?? 30)) / 30;
    return (
        <svg
            viewBox="0 0 200 12"
            preserveAspectRatio="xMinYMid meet"
            className={`my-1 h-3 w-full ${state === 'stop' ? 'text-rust' : state === 'watch' ? 'text-ochre' : 'text-spruce'}`}
            aria-hidden="true"
        >
            <line x1="0" x2="200" y1="6" y2="6" className="stroke-rule" strokeWidth="1" />
            <line x1="0" x2={left * 194} y1="6" y2="6" stroke="currentColor" strokeWidth="2" strokeDasharray="3 3" />
            <circle cx={left * 194 + 3} cy="6" r="3.5" fill="none" stroke="currentColor" strokeWidth="2" />
        </svg>
    );
}
