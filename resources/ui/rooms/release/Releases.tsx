import { Link } from 'react-router';
import { useReleases } from '../../api/hooks';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

/** Visits on their way out, and those that went. */
export function Releases() {
    return (
        <Wait query={useReleases()}>
            {(room) => (
                <Page sentence={room.sentence}>
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
                                    <span className="text-sm text-soft">
                                        {v.number ? `left ${short(v.end, v.end)}` : `leaves ${short(v.end, v.end)}`}
                                    </span>
                                </Link>
                            </li>
                        ))}
                    </ul>
                </Page>
            )}
        </Wait>
    );
}
