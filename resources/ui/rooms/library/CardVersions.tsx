import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { useCardChanges } from '../../api/hooks';
import { Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

/** Every version of a card: who wrote, checked and forced it, and what changed between any two. */
export function CardVersions({ room }: { room: Schemas['CardRoom'] }) {
    const numbers = room.versions.map((v) => v.no);
    const [pair, setPair] = useState<[number, number]>([numbers[1] ?? numbers[0] ?? 1, numbers[0] ?? 1]);
    const pick = (n: 0 | 1) => (
        <select
            aria-label={n === 0 ? 'Older version' : 'Newer version'}
            className="h-10 rounded-lg border-2 border-soft bg-sheet px-2"
            value={pair[n]}
            onChange={(e) => setPair(n === 0 ? [Number(e.target.value), pair[1]] : [pair[0], Number(e.target.value)])}
        >
            {numbers.map((no) => (
                <option key={no} value={no}>
                    version {no}
                </option>
            ))}
        </select>
    );
    return (
        <Section title="Versions">
            <table className="w-full text-left">
                <tbody>
                    {room.versions.map((v) => (
                        <tr key={v.no} className="border-b border-rule/60 align-top" data-version={v.no}>
                            <td className="py-1.5 pr-4 font-mono font-bold">{v.no}</td>
                            <td className="pr-4">
                                <State
                                    state={v.state === 'in force' ? 'clear' : v.state === 'draft' ? 'watch' : 'waiting'}
                                    word={v.state}
                                />
                            </td>
                            <td className="pr-4">
                                {v.note}
                                <span className="block text-sm text-soft">{v.steps} steps written</span>
                            </td>
                            <td className="pr-4 text-sm">
                                {v.writers !== '' && `written by ${v.writers}, ${v.writtenAt}`}
                                {v.checked && <span className="block">checked by {v.checked}</span>}
                                {v.forced && <span className="block">in force by {v.forced}</span>}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {numbers.length > 1 && (
                <div className="mt-4">
                    <p className="flex items-center gap-2">
                        <b>What changed</b> from {pick(0)} to {pick(1)}
                    </p>
                    {pair[0] !== pair[1] && <Changes type={room.type} code={room.code} from={pair[0]} to={pair[1]} />}
                </div>
            )}
        </Section>
    );
}

function Changes({ type, code, from, to }: { type: string; code: string; from: number; to: number }) {
    return (
        <Wait query={useCardChanges(type, code, from, to)}>
            {(changes) => (
                <ul className="mt-2 divide-y divide-rule" data-testid="changes">
                    {changes.length === 0 && <li className="text-soft">They are the same.</li>}
                    {changes.map((c) => (
                        <li key={c.at} className="grid grid-cols-[8rem_minmax(0,1fr)_minmax(0,1fr)] gap-3 py-2">
                            <b>
                                {c.at}
                                {c.warningGone && (
                                    <span className="block">
                                        <State state="stop" word="a warning went" />
                                    </span>
                                )}
                            </b>
                            <del className={c.was === '' ? 'no-underline' : 'bg-rust-wash decoration-rust'}>
                                {c.was === '' ? <i className="text-soft">nothing</i> : c.was}
                            </del>
                            <ins className={c.is === '' ? 'no-underline' : 'bg-shade no-underline'}>
                                {c.is === '' ? <i className="text-soft">nothing</i> : c.is}
                            </ins>
                        </li>
                    ))}
                </ul>
            )}
        </Wait>
    );
}
