import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Glyph, State } from '../../parts/State';
import { Fuse } from './Fuse';

/** One deferral on the board: what is left, what its closure waits for, and whether that is in time. */
export function Carried({ deferral: d }: { deferral: Schemas['DeferralView'] }) {
    return (
        <li
            className="grid grid-cols-[5.5rem_5.5rem_minmax(0,1fr)_minmax(0,22rem)] items-start gap-4 py-3"
            data-deferral={d.finding}
        >
            <State state={d.state} />
            <Link to={`/fleet/${d.mark}`} className="font-mono font-bold underline underline-offset-4">
                {d.mark}
            </Link>
            <div className="min-w-0">
                <Link to={`/deferrals/${d.id}`} className="font-bold underline underline-offset-4">
                    {d.title}
                </Link>{' '}
                <span className="font-mono text-sm text-soft">
                    {d.item}, category {d.category}, {d.finding}
                </span>
                <span className="block text-sm text-soft">
                    {d.place}: {d.extent}
                </span>
                {d.procedure === 'open' && (
                    <span className="block font-semibold text-rust">Not made safe yet: it does not fly with it.</span>
                )}
                <ul className="mt-1 text-sm">
                    {d.needs.map((n) => (
                        <li key={n.id}>
                            <Glyph state={n.state} size={13} /> {n.what}: {n.said}
                        </li>
                    ))}
                </ul>
            </div>
            <div>
                <b>{d.said}</b>
                <Fuse days={d.daysLeft} state={d.state} />
                <span className="block text-sm text-soft">
                    {d.expires && `expires ${d.expires} (${d.expiresUtc})`}
                    {d.left && `${d.expires ? '; ' : ''}${d.left}`}
                </span>
                <span className="mt-1 block text-sm">
                    <Glyph state={d.verdictState} size={13} /> {d.closure}
                </span>
            </div>
        </li>
    );
}
