import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useFloor } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { cardStates } from '../visits/Visit';
import { Done } from '../visits/Visits';

/** The cards in work: mine first, then those waiting for an inspection, then the rest. */
export function Floor() {
    return (
        <Wait query={useFloor()}>
            {(floor) => {
                const mine = floor.cards.filter((c) => c.mine);
                const inspect = floor.cards.filter((c) => !c.mine && c.inspection);
                const rest = floor.cards.filter((c) => !c.mine && !c.inspection);
                return (
                    <Page sentence={floor.sentence}>
                        {mine.length > 0 && <Cards title="Mine" cards={mine} />}
                        {inspect.length > 0 && <Cards title="Waiting for an independent inspection" cards={inspect} />}
                        {rest.length > 0 && <Cards title="Other open cards" cards={rest} />}
                    </Page>
                );
            }}
        </Wait>
    );
}

function Cards({ title, cards }: { title: string; cards: Schemas['CardRow'][] }) {
    return (
        <Section title={title}>
            <ul className="divide-y divide-rule/70">
                {cards.map((c) => {
                    const [state, word] = c.hold ? ['stop', 'held'] : (cardStates[c.state] ?? ['clear', c.state]);
                    return (
                        <li key={c.id}>
                            <Link
                                to={`/floor/${c.id}`}
                                data-card={c.number}
                                className="grid min-h-14 grid-cols-[7rem_6rem_minmax(0,1fr)_10rem] items-center gap-3 py-2 hover:bg-sheet"
                            >
                                <State state={state} word={word} />
                                <b className="font-mono">{c.mark}</b>
                                <span className="min-w-0">
                                    <span className="font-mono text-sm text-soft">{c.number}</span> <b>{c.title}</b>
                                    <span className="block truncate text-sm text-soft">{c.hold ?? `${c.visit}, ${c.zone}`}</span>
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
