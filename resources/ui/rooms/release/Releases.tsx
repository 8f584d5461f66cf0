import { useState } from 'react';
import { Link } from 'react-router';
import { useReleases } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

/** Visits on their way out, and those that went. */
export function Releases() {
    const [find, setFind] = useState('');
    return (
        <Wait query={useReleases(find)}>
            {(room) => (
                <Page sentence={room.sentence}>
                    <Field
                        label="Find among what was released"
                        name="find"
                        value={find}
                        hint="Registration, title or certificate number"
                        className="max-w-md"
                        onChange={(e) => setFind(e.target.value)}
                    />
                    <ul className="divide-y divide-rule border-y border-rule">
                        {room.visits.map((v) => (
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
                    {room.more > 0 && <p className="text-soft">{room.more} older ones are not shown: narrow it down above.</p>}
                </Page>
            )}
        </Wait>
    );
}
