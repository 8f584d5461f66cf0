import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Page } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { visitViews } from './views';

/** One of the views of a visit: which aircraft it is, the answer with its state, then the view. */
export function VisitPage({
    visit,
    place,
    verdict,
    sentence,
    note,
    actions,
    children,
}: {
    visit: { id: number; mark: string; type: string; title: string; line?: boolean };
    place?: string;
    verdict?: string;
    sentence: string;
    note?: ReactNode;
    actions?: ReactNode;
    children: ReactNode;
}) {
    return (
        <Page
            over={
                <>
                    {visit.line !== true && <Tabs label="Visit" tabs={visitViews(visit.id)} />}
                    <Link
                        to={`/fleet/${visit.mark}`}
                        className="font-mono font-bold text-ink underline underline-offset-4"
                    >
                        {visit.mark}
                    </Link>{' '}
                    · {visit.type} · {visit.title}
                    {place && ` · ${place}`}
                </>
            }
            sentence={
                <>
                    {verdict && (
                        <>
                            <State state={verdict} word="" />{' '}
                        </>
                    )}
                    {sentence}
                </>
            }
            note={note}
            actions={actions}
        >
            {children}
        </Page>
    );
}
