import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useMe, useVisit } from '../../api/hooks';
import { short } from '../../parts/dates';
import { Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Cards, type Role } from './VisitCards';
import { Findings } from './VisitFindings';
import { VisitLife } from './VisitLife';
import { VisitPage } from './VisitPage';
import { Choose } from './VisitPeople';

/** A visit with its cards and the people on them. */
export function Visit() {
    const query = useVisit(Number(useParams().id));
    const may = useMe().data?.may ?? [];
    const [choosing, setChoosing] = useState<{ card: Schemas['VisitCard']; role: Role } | null>(null);
    return (
        <Wait query={query}>
            {(v) => (
                <VisitPage
                    visit={v}
                    place={`${v.bay} · ${short(v.start, v.start)} to ${short(v.end, v.start)}`}
                    sentence={v.headline}
                    actions={
                        <>
                            <a
                                href={`/api/release/${v.id}/cards.pdf`}
                                target="_blank"
                                rel="noreferrer"
                                className="inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold"
                            >
                                Print the cards
                            </a>
                            <Link
                                to={v.line ? '/floor/line' : `/release/${v.id}`}
                                className="inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold"
                            >
                                {v.line ? 'The line' : 'Release'}
                            </Link>
                        </>
                    }
                >
                    {may.includes('plan') && v.state !== 'released' && v.line !== true && <VisitLife visit={v} />}
                    {v.doubts.map((d) => (
                        <p key={d} className="mt-2">
                            <State state="watch" word="" /> {d}
                        </p>
                    ))}
                    <Findings findings={v.findings} may={may.includes('plan')} />
                    <Cards visit={v} may={may.includes('plan')} onChoose={setChoosing} />
                    {choosing && <Choose {...choosing} onClose={() => setChoosing(null)} />}
                </VisitPage>
            )}
        </Wait>
    );
}
