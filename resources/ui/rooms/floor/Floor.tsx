import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { cardQuery, registerQuery, useFloor, useMe } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { cardStates } from '../visits/VisitCards';
import { Done } from '../visits/Visits';
import { floorTabs } from './tabs';

/** The cards in work: for an inspector what waits for them first, then mine, then the rest. */
export function Floor() {
    useMineInReach();
    const inspector = ['inspector', 'certifier'].includes(useMe().data?.role ?? '');
    // In the address, so that going back from a card finds the list as it was.
    const [query, setQuery] = useSearchParams();
    const [mark, words] = [query.get('on') ?? '', query.get('q') ?? ''];
    const set = (name: string, value: string) => {
        query.set(name, value);
        if (value === '') {
            query.delete(name);
        }
        setQuery(query, { replace: true });
    };
    return (
        <Wait query={useFloor()}>
            {(floor) => {
                const cards = floor.cards.filter((c) => shown(c, mark, words));
                const waits = cards.filter((c) => c.inspection);
                const forMe = waits.filter((c) => c.inspectWhy === null);
                const notMe = waits.filter((c) => c.inspectWhy !== null && !c.mine);
                const mine = cards.filter((c) => c.mine && !forMe.includes(c));
                const coming = inspector ? cards.filter((c) => c.inspectNext !== null && !c.mine) : [];
                const rest = cards.filter((c) => !c.mine && !c.inspection && !coming.includes(c));
                return (
                    <Page over={<Tabs label="Floor" tabs={floorTabs} />} sentence={floor.sentence}>
                        <div className="noprint flex flex-wrap items-center gap-x-5 gap-y-2">
                            <input
                                aria-label="Filter"
                                placeholder="Number, title, zone, name"
                                value={words}
                                onChange={(e) => set('q', e.target.value)}
                                className="h-12 w-60 rounded-lg border border-rule bg-sheet px-3"
                            />
                            <WhichAircraft
                                marks={[...new Set(floor.cards.map((c) => c.mark))].sort()}
                                value={mark}
                                onChange={(m) => set('on', m)}
                            />
                            <span className="text-soft">
                                {cards.length} of {floor.cards.length}
                            </span>
                        </div>
                        {cards.length === 0 && floor.cards.length > 0 && (
                            <p className="mt-6 text-soft">No open card is like that.</p>
                        )}
                        {inspector && <Cards title="For you to inspect" cards={forMe} />}
                        <Cards title="Mine" cards={mine} />
                        <Cards
                            title={
                                inspector
                                    ? 'Waiting for an inspection by somebody else'
                                    : 'Waiting for an independent inspection'
                            }
                            cards={inspector ? notMe : notMe.filter((c) => !mine.includes(c))}
                            inspector={inspector}
                        />
                        <Cards title="Coming to an inspection" cards={coming} inspector />
                        <Cards title="Other open cards" cards={rest} />
                    </Page>
                );
            }}
        </Wait>
    );
}

/** As many buttons as can be taken in at a glance; a list where there are more. */
function WhichAircraft({
    marks,
    value,
    onChange,
}: {
    marks: string[];
    value: string;
    onChange: (mark: string) => void;
}) {
    const options = [{ value: '', name: 'all aircraft' }, ...marks.map((m) => ({ value: m, name: m }))];
    if (marks.length <= 8) {
        return <Choice big label="Aircraft" options={options} value={value} onChange={onChange} />;
    }
    return (
        <select
            aria-label="Aircraft"
            value={value}
            onChange={(e) => onChange(e.target.value)}
            className="h-12 rounded-lg border border-rule bg-sheet px-2"
        >
            {options.map((o) => (
                <option key={o.value} value={o.value}>
                    {o.name}
                </option>
            ))}
        </select>
    );
}

/** Whether a card is of an aircraft and has every word somewhere in what is said of it. */
export function shown(c: Schemas['CardRow'], mark: string, words: string): boolean {
    const text = [c.number, c.title, c.mark, c.zone, c.visit, c.hold, c.handedOver, ...c.there].join(' ').toLowerCase();
    return (
        (mark === '' || c.mark === mark) &&
        words
            .toLowerCase()
            .split(/\s+/)
            .every((w) => text.includes(w))
    );
}

/** What is read ahead is asked for again when it did not come: a card must not be missing later for one lost answer. */
const inReach = { staleTime: 120_000, retry: 3 };

/** Reads my cards, and what stands on their aircraft, while there is a connection, so that they open without one. */
function useMineInReach() {
    const client = useQueryClient();
    const cards = useFloor().data?.cards;
    useEffect(() => {
        for (const c of cards?.filter((one) => one.mine).slice(0, 12) ?? []) {
            void client.prefetchQuery({ ...cardQuery(c.id), ...inReach });
            void client.prefetchQuery({ ...registerQuery(c.mark), ...inReach });
        }
    }, [client, cards]);
}

function Cards({ title, cards, inspector }: { title: string; cards: Schemas['CardRow'][]; inspector?: boolean }) {
    if (cards.length === 0) {
        return null;
    }
    return (
        <Section title={title}>
            <ul className="divide-y divide-rule/70">
                {cards.map((c) => {
                    const [state, word] = c.hold
                        ? ['stop', 'held']
                        : c.stopped
                          ? ['waiting', 'waits']
                          : c.inspection
                            ? ['waiting', 'to inspect']
                            : c.handedOver
                              ? ['watch', 'handed over']
                              : (cardStates[c.state] ?? ['clear', c.state]);
                    return (
                        <li key={c.id}>
                            <Link
                                to={`/floor/${c.id}`}
                                data-card={c.number}
                                className="grid min-h-14 grid-cols-[8rem_6rem_minmax(0,1fr)_10rem] items-center gap-3 py-2 hover:bg-sheet"
                            >
                                <State state={state} word={word} />
                                <b className="font-mono">{c.mark}</b>
                                <span className="min-w-0">
                                    <span className="font-mono text-sm text-soft">{c.number}</span> <b>{c.title}</b>
                                    <span className="block truncate text-sm text-soft">
                                        {c.hold ??
                                            c.stopped ??
                                            (inspector && c.inspectWhy ? `not you: ${c.inspectWhy}` : null) ??
                                            c.handedOver ??
                                            (inspector && c.inspectNext ? `inspection ${c.inspectNext}` : null) ??
                                            [
                                                `${c.visit}, ${c.zone}`,
                                                ...(c.there.length > 0 ? [`at it: ${c.there.join(', ')}`] : []),
                                            ].join('; ')}
                                    </span>
                                </span>
                                <Done done={c.stepsDone} of={c.steps} />
                            </Link>
                        </li>
                    );
                })}
            </ul>
        </Section>
    );
}
