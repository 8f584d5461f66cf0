import { useEffect, useRef, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Pick } from '../../parts/Pick';
import { State } from '../../parts/State';
import { fits, NOBODY } from './board';

type Card = Schemas['BoardCard'];

const states: Record<string, string> = { open: 'open', in_work: 'in work', signed: 'to inspect', closed: 'closed' };

/** What is looked for on a board: a skill, a person, a state; empty for all. */
export function useBoardFilter(cards: Card[]) {
    const [asked, setAsked] = useState({ skill: '', person: '', state: '' });
    const found = cards.filter((c) => fits(c, asked));
    return { asked, setAsked, found, dimmed: new Set(cards.filter((c) => !fits(c, asked)).map((c) => c.id)) };
}

/** The cards of the board as a list beside it, in the order of their work: what is chosen here is chosen there. */
export function BoardList({
    cards,
    filter,
    chosen,
    onChoose,
}: {
    cards: Card[];
    filter: ReturnType<typeof useBoardFilter>;
    chosen: number | null;
    onChoose: (id: number) => void;
}) {
    const { asked, setAsked, found } = filter;
    const list = useRef<HTMLUListElement>(null);
    useEffect(() => {
        list.current?.querySelector(`[data-listed="${chosen}"]`)?.scrollIntoView({ block: 'nearest' });
    }, [chosen]);
    const all = (of: (c: Card) => string[]) => [...new Set(cards.flatMap(of))].sort();
    const choose = (id: number) => {
        onChoose(id);
        document.querySelector(`[data-card-id="${id}"]`)?.scrollIntoView({ block: 'nearest', inline: 'center' });
    };
    return (
        <section className="noprint flex max-h-[34rem] flex-col" aria-label="Cards of the board">
            <div className="grid grid-cols-3 gap-2 pb-2">
                <Pick
                    small
                    label="Skill"
                    name="skill"
                    value={asked.skill}
                    onChange={(skill) => setAsked({ ...asked, skill })}
                    options={[['', 'all'], ...all((c) => c.skills).map((s): [string, string] => [s, s])]}
                />
                <Pick
                    small
                    label="Person"
                    name="person"
                    value={asked.person}
                    onChange={(person) => setAsked({ ...asked, person })}
                    options={[
                        ['', 'all'],
                        [NOBODY, 'nobody yet'],
                        ...all((c) => c.crew).map((p): [string, string] => [p, p]),
                    ]}
                />
                <Pick
                    small
                    label="State"
                    name="state"
                    value={asked.state}
                    onChange={(state) => setAsked({ ...asked, state })}
                    options={[['', 'all'], ...all((c) => [c.state]).map((s): [string, string] => [s, states[s] ?? s])]}
                />
            </div>
            <p className="pb-1 text-sm text-soft">
                {found.length} of {cards.length} cards
            </p>
            <ul ref={list} className="min-h-0 flex-1 divide-y divide-rule/70 overflow-auto border-y border-rule">
                {[...found]
                    .sort((a, b) => a.from - b.from || a.id - b.id)
                    .map((c) => (
                        <li key={c.id} data-listed={c.id}>
                            <button
                                type="button"
                                aria-pressed={chosen === c.id}
                                onClick={() => choose(c.id)}
                                className={`w-full px-2 py-1.5 text-left leading-tight ${chosen === c.id ? 'bg-spruce-wash' : 'hover:bg-sheet'}`}
                            >
                                <span className="font-mono text-sm text-soft">{c.number}</span>{' '}
                                {(c.late || c.lacks.length > 0) && <State state={c.late ? 'stop' : 'watch'} word="" />}{' '}
                                {c.title}
                                <span className="block text-sm text-soft">
                                    {c.when}
                                    {c.crew.length > 0 && `, ${c.crew.join(', ')}`}
                                </span>
                            </button>
                        </li>
                    ))}
            </ul>
            {found.length === 0 && <p className="py-2 text-soft">No card like that.</p>}
        </section>
    );
}
