import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { Section } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { toggled } from '../../parts/toggled';
import { Assigned } from './VisitPeople';
import { VisitPicked } from './VisitPicked';
import { Done } from './Visits';

export type Role = 'perform' | 'duplicate';

export const cardStates: Record<string, [string, string]> = {
    open: ['clear', 'open'],
    in_work: ['watch', 'in work'],
    signed: ['waiting', 'to inspect'],
    closed: ['clear', 'closed'],
};

const stages = ['induct', 'safe', 'open', 'look', 'fix', 'close', 'test', 'release'];

const stageNames: Record<string, string> = {
    induct: 'Induct',
    safe: 'Make safe',
    open: 'Raise and open up',
    look: 'Look',
    fix: 'Fix',
    close: 'Close up',
    test: 'Test',
    release: 'Hand over',
};

/** The cards of a visit in its order, each with its people; some can be picked to leave it. */
export function Cards({
    visit,
    may,
    onChoose,
}: {
    visit: Schemas['VisitView'];
    may: boolean;
    onChoose: (choice: { card: Schemas['VisitCard']; role: Role }) => void;
}) {
    const [picked, setPicked] = useState<number[]>([]);
    const [show, setShow] = useState<'open' | 'short' | 'all'>(visit.closed > 20 ? 'open' : 'all');
    const shown = visit.cards.filter(
        (c) => show === 'all' || (show === 'open' ? c.state !== 'closed' : c.short.length > 0),
    );
    const short = visit.cards.filter((c) => c.short.length > 0).length;
    return (
        <>
            <div className="noprint mt-6 flex items-center gap-4">
                <Choice
                    label="Which cards"
                    value={show}
                    onChange={setShow}
                    options={[
                        { value: 'all', name: `All ${visit.total}` },
                        { value: 'open', name: `Open ${visit.total - visit.closed}` },
                        { value: 'short', name: `Lacking something ${short}` },
                    ]}
                />
                <span className="text-soft">{visit.hours.toLocaleString('en-GB')} h in all</span>
            </div>
            {shown.length === 0 && <p className="mt-4 text-soft">No card like that.</p>}
            {stages.map((stage) => {
                const cards = shown.filter((c) => c.stage === stage);
                return (
                    cards.length > 0 && (
                        <Section key={stage} title={`${stageNames[stage]} (${cards.length})`}>
                            <ul className="divide-y divide-rule/70">
                                {cards.map((c) => (
                                    <CardLine
                                        key={c.id}
                                        card={c}
                                        may={may}
                                        picked={picked.includes(c.id)}
                                        onPick={
                                            may && c.leaves && !visit.line
                                                ? () => setPicked(toggled(picked, c.id))
                                                : null
                                        }
                                        onChoose={onChoose}
                                    />
                                ))}
                            </ul>
                        </Section>
                    )
                );
            })}
            {picked.length > 0 && <VisitPicked visit={visit} cards={picked} onDone={() => setPicked([])} />}
        </>
    );
}

function CardLine({
    card: c,
    may,
    picked,
    onPick,
    onChoose,
}: {
    card: Schemas['VisitCard'];
    may: boolean;
    picked: boolean;
    onPick: (() => void) | null;
    onChoose: (choice: { card: Schemas['VisitCard']; role: Role }) => void;
}) {
    const [state, word] = cardStates[c.state] ?? ['clear', c.state];
    return (
        <li
            className="grid grid-cols-[8.5rem_minmax(0,1fr)_9rem_minmax(0,1.2fr)] items-center gap-4 py-2.5"
            data-card={c.number}
        >
            <span className="flex items-center gap-2">
                {onPick && (
                    <input
                        type="checkbox"
                        className="noprint size-5 accent-spruce"
                        aria-label={`Pick ${c.number}`}
                        checked={picked}
                        onChange={onPick}
                    />
                )}
                <State
                    state={c.lacks && c.state !== 'closed' ? 'stop' : state}
                    word={c.lacks && c.state === 'open' ? 'unassigned' : word}
                />
            </span>
            <div className="min-w-0">
                <Link to={`/floor/${c.id}`}>
                    <span className="font-mono text-sm text-soft">{c.number}</span> <b>{c.title}</b>
                    <span className="block text-sm text-soft">
                        {c.when && `${c.when}, `}
                        {c.zone}, {c.needs}, {c.hours} h{c.independentInspection && ', independent inspection'}
                    </span>
                </Link>
                {c.positions.length > 0 && <p className="text-sm text-soft">Positions: {c.positions.join('; ')}</p>}
                {c.parts.length > 0 && <p className="text-sm text-soft">Parts: {c.parts.join('; ')}</p>}
                {c.short.map((s) => (
                    <p key={s} className="text-sm">
                        <State state="watch" word="Lacks" /> {s}
                    </p>
                ))}
            </div>
            <Done done={c.stepsDone} of={c.steps} />
            <div className="flex flex-wrap items-center gap-2">
                {c.people.map((p) => (
                    <Assigned key={p.personId + p.role} cardId={c.id} person={p} may={may && c.state !== 'closed'} />
                ))}
                {c.lacks && <span className="text-sm text-rust">{c.lacks}</span>}
                {may && c.state !== 'closed' && (
                    <>
                        <Button onClick={() => onChoose({ card: c, role: 'perform' })}>Assign</Button>
                        {c.independentInspection && (
                            <Button onClick={() => onChoose({ card: c, role: 'duplicate' })}>Inspector</Button>
                        )}
                    </>
                )}
            </div>
        </li>
    );
}
