import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useSectors } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { Glyph, State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { SwapSheet } from './SwapSheet';
import { deferralTabs } from './tabs';

const spans = [
    { value: 1, name: '1 day' },
    { value: 3, name: '3 days' },
    { value: 7, name: 'a week' },
    { value: 14, name: '2 weeks' },
] as const;

/**
 * The coming flights of every aircraft that carries something: which may be flown, which may not, and who could take
 * them.
 */
export function Sectors() {
    const [days, setDays] = useState(3);
    const [swap, setSwap] = useState<{ mark: string; date: string } | null>(null);
    return (
        <Wait query={useSectors(days)}>
            {(room) => (
                <Page
                    over={<Tabs label="Deferrals" tabs={deferralTabs} />}
                    sentence={room.sentence}
                    actions={<Choice label="How far ahead" options={spans} value={days} onChange={setDays} />}
                >
                    {room.aircraft.map((a) => (
                        <Flying key={a.mark} of={a} may={room.may} onSwap={(date) => setSwap({ mark: a.mark, date })} />
                    ))}
                    {room.swaps.length > 0 && (
                        <Section title="Handed to the flying programme">
                            <ul className="divide-y divide-rule">
                                {room.swaps.map((s) => (
                                    <li key={s.id} className="grid grid-cols-[7rem_minmax(0,1fr)] gap-3 py-2">
                                        <State
                                            state={s.accepted ? 'clear' : 'stop'}
                                            word={s.accepted ? 'accepted' : 'refused'}
                                        />
                                        <span>
                                            <b>{s.day}</b>: {s.said}. {s.answer}
                                            <span className="block text-sm text-soft">{s.by}</span>
                                        </span>
                                    </li>
                                ))}
                            </ul>
                        </Section>
                    )}
                    {swap && <SwapSheet {...swap} onClose={() => setSwap(null)} />}
                </Page>
            )}
        </Wait>
    );
}

function Flying({ of: a, may, onSwap }: { of: Schemas['CarrierView']; may: boolean; onSwap: (date: string) => void }) {
    const stopped = [...new Set(a.flights.filter((f) => f.verdict === 'no_go').map((f) => f.date))];
    return (
        <Section
            title={a.mark}
            aside={
                <a
                    className="noprint text-sm underline underline-offset-4"
                    href={`/api/fleet/${a.mark}/crew-sheet.pdf`}
                    target="_blank"
                    rel="noreferrer"
                >
                    sheet for the crew
                </a>
            }
        >
            <p className="mb-1">
                <Glyph state={a.state} /> <span className="ml-1">{a.sentence}</span>
            </p>
            <p className="text-sm text-soft">
                Carries{' '}
                <Link className="underline underline-offset-4" to={`/fleet/${a.mark}`}>
                    {a.carried.join('; ')}
                </Link>
                {a.restrictions.length > 0 && `. ${a.restrictions.join('; ')}`}
            </p>
            {a.flights.length > 0 && (
                <table className="mt-2 w-full text-left">
                    <thead className="sr-only">
                        <tr>
                            <th>May it</th>
                            <th>Flight</th>
                            <th>Day</th>
                            <th>From and to</th>
                            <th>Why</th>
                        </tr>
                    </thead>
                    <tbody>
                        {a.flights.map((f) => (
                            <tr key={f.id} className="border-t border-rule/60 align-top" data-flight={f.number}>
                                <td className="w-36 py-1.5">
                                    <State state={f.state} word={words[f.verdict]} />
                                </td>
                                <td className="w-16 py-1.5 font-mono font-bold">{f.number}</td>
                                <td className="w-44 py-1.5">
                                    {f.day}
                                    <span className="block text-sm text-soft">{f.times}</span>
                                </td>
                                <td className="w-60 py-1.5">
                                    {f.from} to {f.to}
                                    <span className="block text-sm text-soft">{f.meets}</span>
                                </td>
                                <td className="py-1.5">{f.reasons.join('; ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {may && (
                <p className="noprint mt-2 flex flex-wrap gap-2">
                    {stopped.map((date) => (
                        <Button key={date} onClick={() => onSwap(date)}>
                            Who could fly {a.flights.find((f) => f.date === date)?.day}?
                        </Button>
                    ))}
                </p>
            )}
        </Section>
    );
}

const words: Record<string, string> = {
    go: 'go',
    go_restricted: 'within limits',
    no_go: 'no-go',
    unknown: 'not known',
};
