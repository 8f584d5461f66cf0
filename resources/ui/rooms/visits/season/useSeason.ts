import { useEffect, useRef, useState } from 'react';
import { api, take } from '../../../api/client';
import { useInTurn } from '../../../api/useInTurn';
import { type Laid, laidOf, type Season } from './laid';

const drawer = (days: number) => `jorvel.season.${days}`;

/** What somebody laid and has not kept, where they left the page meanwhile. */
function left(days: number): Laid[] | null {
    const text = sessionStorage.getItem(drawer(days));
    return text === null ? null : (JSON.parse(text) as Laid[]);
}

interface Course {
    past: Season[];
    now: Season;
    next: Season[];
}

/**
 * A season under somebody's hands: every change is judged by the server, one after the other, and can be taken back and
 * brought again.
 */
export function useSeason(kept: Season, days: number) {
    const judge = (visits: Laid[]) => take(api.POST('/api/season/judge', { body: { days, visits } }));
    const [course, setCourse] = useState<Course>({ past: [], now: kept, next: [] });
    const [aside, setAside] = useState<Season | null>(null);
    const turn = useInTurn(course.now, (now) => setCourse((c) => ({ past: [...c.past, c.now], now, next: [] })));
    const [was] = useState(() => left(days));
    const taken = useRef(was === null);
    useEffect(() => {
        if (was && !taken.current) {
            taken.current = true;
            // A visit that was released or cancelled meanwhile is gone from it.
            const there = new Set(kept.visits.map((v) => v.id));
            turn.ask(() => judge(was.filter((v) => v.id.startsWith('new-') || there.has(v.id))));
        }
    });
    const changed = course.now.visits.some((v) => v.changed);
    useEffect(() => {
        if (changed) {
            sessionStorage.setItem(drawer(days), JSON.stringify(laidOf(course.now)));
        } else if (course.past.length > 0) {
            sessionStorage.removeItem(drawer(days));
        }
    }, [course, changed, days]);
    const step = (from: 'past' | 'next') =>
        setCourse((c) => {
            const to = from === 'past' ? c.past.at(-1) : c.next[0];
            if (!to) {
                return c;
            }
            return from === 'past'
                ? { past: c.past.slice(0, -1), now: to, next: [c.now, ...c.next] }
                : { past: [...c.past, c.now], now: to, next: c.next.slice(1) };
        });
    return {
        season: course.now,
        /** Lays it otherwise: of what stands when its turn comes. */
        lay: (by: (laid: Laid[]) => Laid[]) => turn.ask((now) => judge(by(laidOf(now)))),
        mend: () => turn.ask((now) => take(api.POST('/api/season/mend', { body: { days, visits: laidOf(now) } }))),
        undo: course.past.length > 0 ? () => step('past') : null,
        redo: course.next.length > 0 ? () => step('next') : null,
        /** The other plan, laid aside to be looked at beside this one. */
        aside,
        layAside: () => setAside(course.now),
        exchange: () => {
            if (aside) {
                setCourse((c) => ({ past: [...c.past, c.now], now: aside, next: [] }));
                setAside(course.now);
            }
        },
        forgetAside: () => setAside(null),
        /** It is kept: there is nothing left to take up. */
        done: () => sessionStorage.removeItem(drawer(days)),
        waiting: turn.waiting,
        error: turn.error,
    };
}

export type Hands = ReturnType<typeof useSeason>;
