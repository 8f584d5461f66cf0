import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useReleases } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

type Row = Schemas['ReleaseRow'];

/** Visits on their way out, then those that went, and finding one of them. */
export function Releases() {
    const [find, setFind] = useState('');
    return (
        <Wait query={useReleases(find)}>
            {(room) => {
                const gone = room.visits.filter((v) => v.number !== null);
                return (
                    <Page sentence={room.sentence}>
                        <Rows rows={room.visits.filter((v) => v.number === null)} />
                        <Section title="Released">
                            <Field
                                label="Find"
                                name="find"
                                value={find}
                                hint="Registration, title or certificate number"
                                className="mb-4 max-w-md"
                                onChange={(e) => setFind(e.target.value)}
                            />
                            <Rows rows={gone} />
                            {gone.length === 0 && (
                                <p className="text-soft">{find === '' ? 'None yet.' : `None with “${find}”.`}</p>
                            )}
                            {room.more > 0 && (
                                <p className="mt-2 text-soft">
                                    {room.more} older ones are not shown: narrow it down above.
                                </p>
                            )}
                        </Section>
                    </Page>
                );
            }}
        </Wait>
    );
}

function Rows({ rows }: { rows: Row[] }) {
    return rows.length === 0 ? null : (
        <ul className="divide-y divide-rule border-y border-rule">
            {rows.map((v) => (
                <li key={v.id}>
                    <Link
                        to={`/release/${v.id}`}
                        className="grid min-h-12 grid-cols-[14rem_6rem_minmax(0,1fr)_9rem] items-center gap-3 py-2 hover:bg-sheet"
                    >
                        <State state={v.state} word={v.said} />
                        <b className="font-mono">{v.mark}</b>
                        <span>{v.title}</span>
                        <span className="text-sm text-soft">{v.when}</span>
                    </Link>
                </li>
            ))}
        </ul>
    );
}
