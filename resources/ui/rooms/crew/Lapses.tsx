import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { Glyph, stateColour } from '../../parts/State';

/** What lapses, as fuses that shorten, and the cards that each would stop. */
export function Lapses({ lapses }: { lapses: Schemas['LapseView'][] }) {
    return (
        <ul className="divide-y divide-rule/70 border-y border-rule">
            {lapses.map((l) => (
                <li
                    key={`${l.personId}${l.kind}${l.value}`}
                    className="grid grid-cols-[1.4rem_minmax(0,20rem)_14rem_minmax(0,1fr)] items-center gap-3 py-2 max-[1000px]:grid-cols-[1.4rem_1fr]"
                >
                    <Glyph state={l.state} />
                    <span>
                        <b>{l.name}</b> <span className="block text-sm text-soft">{l.said}</span>
                    </span>
                    <svg
                        viewBox="0 0 246 22"
                        className="w-full"
                        role="img"
                        aria-label={l.days === null ? 'missing' : `${Math.max(0, l.days)} of 60 days left`}
                    >
                        <line x1="0" x2="180" y1="11" y2="11" className="stroke-rule" strokeWidth="2" />
                        <line
                            x1="0"
                            x2={Math.max(0, Math.min(60, l.days ?? 0)) * 3}
                            y1="11"
                            y2="11"
                            stroke="currentColor"
                            strokeWidth="7"
                            className={stateColour(l.state)}
                        />
                        <text x="188" y="16" className="fill-ink font-mono text-[13px]">
                            {l.days === null ? 'missing' : l.days < 0 ? 'past' : `${l.days} d`}
                        </text>
                    </svg>
                    <span className="text-sm">
                        {l.hits.length === 0 ? (
                            <span className="text-soft">no planned card hit</span>
                        ) : (
                            l.hits.map((h) => (
                                <Link
                                    key={h.cardId + h.role}
                                    to={`/floor/${h.cardId}`}
                                    className="block w-fit py-1 underline underline-offset-4"
                                >
                                    {h.mark} {h.number} {h.title}, {h.role === 'duplicate' ? 'to inspect' : 'to work'}{' '}
                                    on {short(h.on)}
                                    {h.nobody && <b>: nobody else can</b>}
                                </Link>
                            ))
                        )}
                    </span>
                </li>
            ))}
        </ul>
    );
}
