import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { State } from '../../parts/State';

/** The finding that a card was made to fix: where, how far it goes, how bad it is, and the way to its photos and sketch. */
export function Fixes({ card }: { card: Schemas['CardView'] }) {
    const f = card.fixes;
    return f === null ? null : (
        <section
            className="mt-3 mb-3 rounded-lg border border-rule bg-sheet px-4 py-2"
            aria-label="The finding"
            data-testid="fixes"
        >
            <p>
                <State state={f.state === 'open' ? 'stop' : 'clear'} word={f.state} />{' '}
                <Link
                    to={`/floor/findings/${f.id}`}
                    className="inline-flex min-h-12 items-center pr-2 font-mono font-bold underline underline-offset-4"
                >
                    {f.number}
                </Link>
                {f.severity}, {f.place}
            </p>
            <p className="font-semibold">{f.extent}</p>
            <p className="text-sm text-soft">
                Found by {f.raisedBy}, {f.raisedAt}
                {f.photos > 0 && `; ${f.photos === 1 ? '1 photo' : `${f.photos} photos`}`}
                {f.repeat !== null && `; found there before: ${f.repeat}`}
            </p>
        </section>
    );
}
