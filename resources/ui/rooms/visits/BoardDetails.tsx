import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Section } from '../../parts/Page';
import { State } from '../../parts/State';
import { capital } from '../../parts/words';

/** One card of the board: what it needs, what it waits for, and what it does to the exit when it slips. */
export function BoardDetails({
    visit,
    card,
    cards,
    may,
    onMove,
    onChoose,
}: {
    visit: number;
    card: Schemas['BoardCard'];
    cards: Schemas['BoardCard'][];
    may: boolean;
    onMove: (slot: number | null) => void;
    onChoose: (id: number) => void;
}) {
    const worked = card.state === 'closed' || card.state === 'signed';
    const slip = useQuery<Schemas['SlipRow'][], Failure>({
        queryKey: keys.slip(visit, card.id),
        queryFn: () =>
            take(api.GET('/api/visits/{id}/cards/{card}/slip', { params: { path: { id: visit, card: card.id } } })),
        enabled: !worked,
    });
    return (
        <Section
            title={`${card.number} ${card.title}`}
            aside={
                <Link className="underline underline-offset-4" to={`/floor/${card.id}`}>
                    Open the card
                </Link>
            }
        >
            <div className="grid grid-cols-1 gap-x-10 gap-y-4 md:grid-cols-2" data-testid="details">
                <div>
                    <p>
                        {card.when}. {card.people}, {card.zone}, {card.stage}.
                    </p>
                    {card.configuration.length > 0 && <p>Needs the aircraft {card.configuration.join(', ')}.</p>}
                    {card.slack !== '' && (
                        <p className="font-semibold">{card.onChain ? 'Decides the exit' : `It ${card.slack}`}.</p>
                    )}
                    {card.late && (
                        <p>
                            <State state="stop" word="Late:" /> it should be worked by now.
                        </p>
                    )}
                    {card.pinned !== null && <p>{capital(card.pinned)}.</p>}
                    {card.lacks.map((l) => (
                        <p key={l}>
                            <State state="watch" word="Lacks" /> {l}
                        </p>
                    ))}
                    {card.waitsFor.length > 0 && (
                        <p className="text-soft">
                            Waits for{' '}
                            {card.waitsFor.slice(0, 8).map((n, i) => {
                                const other = cards.find((c) => c.number === n);
                                return (
                                    <span key={n}>
                                        {i > 0 && ', '}
                                        {other ? (
                                            <button
                                                type="button"
                                                className="font-mono underline underline-offset-2"
                                                onClick={() => onChoose(other.id)}
                                            >
                                                {n}
                                            </button>
                                        ) : (
                                            <span className="font-mono">{n}</span>
                                        )}
                                    </span>
                                );
                            })}
                            {card.waitsFor.length > 8 && ` and ${card.waitsFor.length - 8} more`}.
                        </p>
                    )}
                    {may && card.state === 'open' && (
                        <div className="noprint mt-3 flex flex-wrap gap-2">
                            <Button onClick={() => onMove(Math.max(0, card.from - 8))}>4 h earlier</Button>
                            <Button onClick={() => onMove(card.from + 8)}>4 h later</Button>
                            <Button onClick={() => onMove(card.from + 32)}>A day later</Button>
                            {card.pinned !== null && <Button onClick={() => onMove(null)}>Unpin</Button>}
                        </div>
                    )}
                </div>
                {!worked && (
                    <table className="self-start text-left">
                        <caption className="pb-1 text-left text-soft">If it takes longer</caption>
                        <tbody>
                            {slip.data?.map((r) => (
                                <tr key={r.hours} className="border-t border-rule/70">
                                    <th scope="row" className="py-1 pr-4 font-normal whitespace-nowrap">
                                        {r.hours} h longer
                                    </th>
                                    <td className="py-1 pr-4">
                                        <State state={r.later > 0 ? 'watch' : 'clear'} word={r.words} />
                                    </td>
                                    <td className="py-1 text-soft">
                                        {r.moved === 0
                                            ? 'nothing else moves'
                                            : `${r.moved} ${r.moved === 1 ? 'card moves' : 'cards move'}`}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                )}
            </div>
        </Section>
    );
}
