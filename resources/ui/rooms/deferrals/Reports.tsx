import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useReports } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { BringReports } from './BringReports';
import { EnterReport } from './EnterReport';
import { deferralTabs } from './tabs';

/** What crews report: what waits first; each ends fixed, carried, or as no fault by a test. */
export function Reports() {
    const [entering, setEntering] = useState(false);
    return (
        <Wait query={useReports()}>
            {(room) => {
                const open = room.reports.filter((r) => r.stands === 'open');
                return (
                    <Page
                        over={<Tabs label="Deferrals" tabs={deferralTabs} />}
                        sentence={room.sentence}
                        actions={
                            room.may && (
                                <Button kind="main" onClick={() => setEntering(true)}>
                                    Enter a report
                                </Button>
                            )
                        }
                    >
                        <Section title="Waiting">
                            <List reports={open} empty="No crew report waits." />
                        </Section>
                        {room.may && <BringReports />}
                        <Section title="Ended">
                            <List
                                reports={room.reports.filter((r) => r.stands !== 'open')}
                                empty="None has ended yet."
                            />
                        </Section>
                        {entering && <EnterReport aircraft={room.aircraft} onClose={() => setEntering(false)} />}
                    </Page>
                );
            }}
        </Wait>
    );
}

const words: Record<string, string> = {
    open: 'waits',
    finding: 'finding',
    deferred: 'carried',
    fixed: 'fixed',
    no_fault: 'no fault',
};

function List({ reports, empty }: { reports: Schemas['CrewReportView'][]; empty: string }) {
    return (
        <ul className="divide-y divide-rule">
            {reports.length === 0 && <li className="py-2 text-soft">{empty}</li>}
            {reports.map((r) => (
                <li
                    key={r.id}
                    className="grid grid-cols-[6.5rem_5.5rem_minmax(0,1fr)_minmax(0,20rem)] gap-4 py-2.5"
                    data-report={r.number}
                >
                    <State state={r.state} word={words[r.stands]} />
                    <Link to={`/fleet/${r.mark}`} className="font-mono font-bold underline underline-offset-4">
                        {r.mark}
                    </Link>
                    <span>
                        <Link className="font-semibold underline underline-offset-4" to={`/deferrals/reports/${r.id}`}>
                            {r.text}
                        </Link>
                        {r.repeat && <b className="text-rust"> a repeat of {r.repeat}</b>}
                        <span className="block text-sm text-soft">
                            {r.number}, {r.flight && `${r.flight}, `}
                            {r.happened}, {r.crew}
                        </span>
                    </span>
                    <span className="text-sm">
                        {r.chapter ? `chapter ${r.chapter}${r.sorted ? '' : ', proposed'}` : 'no chapter yet'}
                        <span className="block text-soft">{r.stands === 'open' ? '' : r.said}</span>
                    </span>
                </li>
            ))}
        </ul>
    );
}
