import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDeferral } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { ClockDrawing } from './ClockDrawing';
import { CloseSheet } from './CloseSheet';
import { ExtendSheet } from './ExtendSheet';
import { Needs } from './Needs';
import { Stays } from './Stays';
import { TakeBack } from './TakeBack';
import { Thread } from './Thread';

type Ask = 'extend' | 'close' | 'take_back' | null;

/** One deferral, from the decision to the closed log: its clock, what is on the aircraft, what its closure needs. */
export function Deferral() {
    const id = Number(useParams().id);
    const [ask, setAsk] = useState<Ask>(null);
    return (
        <Wait query={useDeferral(id)}>
            {(p) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/deferrals">
                            Deferrals
                        </Link>
                    }
                    sentence={p.sentence}
                    note={
                        <>
                            {p.deferral.place}: {p.deferral.extent}.{' '}
                            <Link
                                className="underline underline-offset-4"
                                to={`/floor/findings/${p.deferral.findingId}`}
                            >
                                {p.deferral.finding}
                            </Link>
                            , {p.deferral.item}, category {p.deferral.category}
                        </>
                    }
                    actions={<Acts page={p} onAsk={setAsk} />}
                >
                    {p.stands === 'open' && (
                        <>
                            <ClockDrawing drivers={p.drivers} label={p.deferral.said} />
                            <p className="text-sm text-soft">
                                {p.deferral.expires && `Expires ${p.deferral.expires} (${p.deferral.expiresUtc}). `}
                                {p.extend > 0 ? `May be extended once, by up to ${p.extend} days.` : p.extendWhy}
                            </p>
                            {p.extensions.map((e) => (
                                <p key={e} className="text-sm">
                                    Extended: {e}
                                </p>
                            ))}
                            <p className="mt-3 text-[1.05rem]">
                                <State state={p.deferral.verdictState} word={verdicts[p.deferral.verdict]} />{' '}
                                <span className="ml-2">{p.deferral.closure}</span>
                            </p>
                        </>
                    )}
                    <div className="grid grid-cols-1 gap-x-10 lg:grid-cols-2">
                        <div>
                            <Thread page={p} />
                            <Stays page={p} />
                        </div>
                        <div>
                            <Needs page={p} />
                            <OnIt page={p} />
                        </div>
                    </div>
                    {ask === 'extend' && <ExtendSheet page={p} onClose={() => setAsk(null)} />}
                    {ask === 'close' && <CloseSheet page={p} onClose={() => setAsk(null)} />}
                    {ask === 'take_back' && <TakeBack page={p} onClose={() => setAsk(null)} />}
                </Page>
            )}
        </Wait>
    );
}

const verdicts: Record<string, string> = {
    in_time: 'in time',
    late: 'late',
    no_slot: 'no stay',
    unknown: 'not known',
};

function Acts({ page: p, onAsk }: { page: Schemas['DeferralPage']; onAsk: (ask: Ask) => void }) {
    return (
        <>
            {p.may.includes('close') && (
                <Button kind="main" onClick={() => onAsk('close')}>
                    Close the log
                </Button>
            )}
            {p.may.includes('extend') && <Button onClick={() => onAsk('extend')}>Extend</Button>}
            {p.may.includes('take_back') && <Button onClick={() => onAsk('take_back')}>Take back</Button>}
        </>
    );
}

/** What is fitted, forbidden and written because of it. */
function OnIt({ page: p }: { page: Schemas['DeferralPage'] }) {
    return (
        <>
            <Section title="While it is carried">
                <ul className="list-disc space-y-0.5 pl-5">
                    {p.limits.map((l) => (
                        <li key={l}>{l}</li>
                    ))}
                    <li>
                        Placard <span className="font-mono">{p.deferral.placard}</span>{' '}
                        <a
                            className="noprint underline underline-offset-4"
                            href={`/api/deferrals/${p.deferral.id}/placard.pdf`}
                            target="_blank"
                            rel="noreferrer"
                        >
                            print it
                        </a>
                    </li>
                </ul>
                {p.safe && (
                    <p className="mt-2">
                        Made safe by{' '}
                        <Link className="underline underline-offset-4" to={`/floor/${p.safe.id}`}>
                            card {p.safe.number}
                        </Link>
                        , {p.safe.said}.
                    </p>
                )}
            </Section>
            {p.devices.length > 0 && (
                <Section title={`${p.devices.length} on the aircraft under it`}>
                    <ul className="space-y-0.5">
                        {p.devices.map((d) => (
                            <li key={d.id}>
                                {d.what}
                                <span className="text-sm text-soft">
                                    , card {d.card}
                                    {d.storage && `; taken off for it: ${d.storage}`}
                                </span>
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            <Section title="In the log">
                <p className="rounded-lg bg-sheet p-3">{p.log}</p>
                <ul className="mt-3 space-y-0.5 text-sm text-soft">
                    {p.story.map((s) => (
                        <li key={s}>{s}</li>
                    ))}
                </ul>
            </Section>
        </>
    );
}
