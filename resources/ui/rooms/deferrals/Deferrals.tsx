import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDeferrals } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Defers, Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { Carried } from './Carried';
import { deferralTabs } from './tabs';

/**
 * What is carried, by what runs out first and whether it is closed in time, and the findings that wait for a decision.
 */
export function Deferrals() {
    const [page, setPage] = useState(1);
    return (
        <Wait query={useDeferrals(page)}>
            {(room) => (
                <Page over={<Tabs label="Deferrals" tabs={deferralTabs} />} sentence={room.sentence}>
                    <Section title={`${room.carried} carried`}>
                        {room.deferrals.length === 0 && <p className="py-3 text-soft">Nothing is carried.</p>}
                        <ul className="divide-y divide-rule">
                            {room.deferrals.map((d) => (
                                <Carried key={d.id} deferral={d} />
                            ))}
                        </ul>
                        {room.pages > 1 && (
                            <p className="noprint mt-2 flex items-center gap-3">
                                <Button disabled={room.page <= 1} onClick={() => setPage(room.page - 1)}>
                                    Earlier
                                </Button>
                                page {room.page} of {room.pages}
                                <Button disabled={room.page >= room.pages} onClick={() => setPage(room.page + 1)}>
                                    Later
                                </Button>
                            </p>
                        )}
                    </Section>
                    {room.findings.length > 0 && (
                        <Section title="Findings waiting for a decision">
                            <ul className="divide-y divide-rule">
                                {room.findings.map((f) => (
                                    <Waiting key={f.id} finding={f} />
                                ))}
                            </ul>
                        </Section>
                    )}
                    {room.closed.length > 0 && <Closed closed={room.closed} />}
                    <Defers />
                </Page>
            )}
        </Wait>
    );
}

function Waiting({ finding: f }: { finding: Schemas['OpenFinding'] }) {
    return (
        <li
            className="grid grid-cols-[5.5rem_5.5rem_minmax(0,1fr)_auto] items-start gap-4 py-2"
            data-finding={f.number}
        >
            <State state={f.fixCard ? 'waiting' : 'stop'} word={f.fixCard ? 'card' : 'open'} />
            <b className="font-mono">{f.mark}</b>
            <p>
                <span className="font-mono text-sm text-soft">{f.number}</span> <b>{f.place}</b>: {f.extent}
                <span className="block text-sm text-soft">
                    {f.raisedAt}, {f.raisedBy}, from{' '}
                    <Link to={`/floor/${f.cardId}`} className="underline underline-offset-4">
                        card {f.card}
                    </Link>
                    {f.fixCard && `; card ${f.fixCard} is to fix it, and is withdrawn if it is deferred`}
                </span>
                <span className="block text-sm">
                    {f.covers.length === 0
                        ? 'No listed item covers it: it must be fixed before release.'
                        : `May be carried under ${f.covers.join(', ')}.`}
                </span>
            </p>
            <ButtonLink big={false} className="noprint" to={`/deferrals/decide/${f.id}`}>
                {f.covers.length === 0 ? 'Why not' : 'Decide'}
            </ButtonLink>
        </li>
    );
}

function Closed({ closed }: { closed: Schemas['ClosedView'][] }) {
    return (
        <Section title="Closed last">
            <ul className="divide-y divide-rule">
                {closed.map((d) => (
                    <li key={d.id} className="grid grid-cols-[5.5rem_minmax(0,1fr)_minmax(0,19rem)] gap-4 py-2">
                        <b className="font-mono">{d.mark}</b>
                        <span>
                            <Link className="font-semibold underline underline-offset-4" to={`/deferrals/${d.id}`}>
                                {d.title}
                            </Link>{' '}
                            <span className="font-mono text-sm text-soft">
                                {d.item}, {d.finding}
                            </span>
                            <span className="block text-sm text-soft">{d.how}</span>
                        </span>
                        <span className="text-sm text-soft">
                            found {d.discovered}, closed {d.closed}; carried {d.days} {d.days === 1 ? 'day' : 'days'}
                        </span>
                    </li>
                ))}
            </ul>
        </Section>
    );
}
