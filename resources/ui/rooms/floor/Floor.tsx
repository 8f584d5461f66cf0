import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { cardQuery, registerQuery, useFloor, useMe } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { cardStates } from '../visits/Visit';
import { Done } from '../visits/Visits';
import { floorTabs } from './tabs';

/** The cards in work: for an inspector what waits for them first, then mine, then the rest. */
export function Floor() {
    useMineInReach();
    const inspector = ['inspector', 'certifier'].includes(useMe().data?.role ?? '');
    return (
        <Wait query={useFloor()}>
            {(floor) => {
                const waits = floor.cards.filter((c) => c.inspection);
                const forMe = waits.filter((c) => c.inspectWhy === null);
                const notMe = waits.filter((c) => c.inspectWhy !== null && !c.mine);
                const mine = floor.cards.filter((c) => c.mine && !forMe.includes(c));
                const rest = floor.cards.filter((c) => !c.mine && !c.inspection);
                return (
                    <Page over={<Tabs label="Floor" tabs={floorTabs} />} sentence={floor.sentence}>
                        {inspector && <Cards title="For you to inspect" cards={forMe} />}
                        <Cards title="Mine" cards={mine} />
                        <Cards
                            title={inspector ? 'Waiting for an inspection by somebody else' : 'Waiting for an independent inspection'}
                            cards={inspector ? notMe : notMe.filter((c) => !mine.includes(c))}
                            inspector={inspector}
                        />
                        <Cards title="Other open cards" cards={rest} />
                    </Page>
                );
            }}
        </Wait>
    );
}

/** Reads my cards, and what stands on their aircraft, while there is a connection, so that they open without one. */
function useMineInReach() {
    const client = useQueryClient();
    const cards = useFloor().data?.cards;
    useEffect(() => {
        for (const c of cards?.filter((one) => one.mine).slice(0, 12) ?? []) {
            void client.prefetchQuery({ ...cardQuery(c.id), staleTime: 120_000 });
            void client.prefetchQuery({ ...registerQuery(c.mark), staleTime: 120_000 });
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
                                            (inspector && c.inspectWhy ? `not you: ${c.inspectWhy}` : null) ??
                                            c.handedOver ??
                                            [`${c.visit}, ${c.zone}`, ...(c.there.length > 0 ? [`at it: ${c.there.join(', ')}`] : [])].join(
                                                '; ',
                                            )}
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
