import { Link } from 'react-router';
import { useVisits } from '../../api/hooks';
import { short } from '../../parts/dates';
import { Page, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { visitsViews } from './views';

const states: Record<string, [string, string]> = {
    planned: ['clear', 'planned'],
    in_work: ['waiting', 'in work'],
    released: ['clear', 'released'],
};

/** Visits planned and in work. */
export function Visits() {
    return (
        <Wait query={useVisits()}>
            {(room) => (
                <Page over={<Tabs label="Visits" tabs={visitsViews} />} sentence={room.sentence}>
                    <ul className="divide-y divide-rule border-y border-rule">
                        {room.visits.map((v) => {
                            const [state, word] = states[v.state] ?? ['clear', v.state];
                            return (
                                <li key={v.id}>
                                    <Link
                                        to={`/visits/${v.id}`}
                                        className="grid grid-cols-[7rem_6rem_minmax(0,1fr)_14rem_11rem] items-center gap-3 py-3 hover:bg-sheet"
                                    >
                                        <State state={state} word={word} />
                                        <b className="font-mono">{v.mark}</b>
                                        <span className="min-w-0">
                                            <b>{v.title}</b>
                                            <span className="block text-sm text-soft">{v.sentence}</span>
                                            {v.doubts.map((d) => (
                                                <span key={d} className="block text-sm">
                                                    <State state="watch" word="" /> {d}
                                                </span>
                                            ))}
                                        </span>
                                        <span>
                                            {short(v.start, v.start)} to {short(v.end, v.start)}
                                            <span className="block text-sm text-soft">{v.bay}</span>
                                        </span>
                                        <Done done={v.closed} of={v.total} hours={v.hours} />
                                    </Link>
                                </li>
                            );
                        })}
                    </ul>
                </Page>
            )}
        </Wait>
    );
}

export function Done({ done, of, hours }: { done: number; of: number; hours?: number }) {
    return (
        <span className="block">
            <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="h-2 w-full" aria-hidden="true">
                <rect width="100" height="8" className="fill-shade" />
                <rect width={of === 0 ? 0 : (done / of) * 100} height="8" className="fill-spruce" />
            </svg>
            <span className="text-sm text-soft">
                {done} of {of} {hours === undefined ? 'steps' : `cards closed, ${hours} h`}
            </span>
        </span>
    );
}
