import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { Heads } from '../../parts/Heads';
import { Section } from '../../parts/Page';
import { Reach } from '../../parts/Reach';
import { State } from '../../parts/State';

export function BeforeAfter({ row, today }: { row: Schemas['WhatIfRow']; today: string }) {
    return (
        <Section title={`${row.mark}: ${row.items.length} ${row.items.length === 1 ? 'date moves' : 'dates move'}`}>
            <div
                className="grid grid-cols-[4.5rem_6rem_1fr_20rem] items-center gap-x-3 gap-y-1"
                data-testid={`what-if-${row.mark}`}
            >
                {(['before', 'after'] as const).map((when) => (
                    <div key={when} className="contents">
                        <b>{when}</b>
                        <State state={row[when].state} />
                        <Reach row={{ ...row[when], mark: `${row.mark}-${when}` }} horizon={90} />
                        <span className="truncate">
                            {row[when].stop
                                ? `${short(row[when].stop.date, today)} ${row[when].stop.title}`
                                : 'nothing stops it'}
                        </span>
                    </div>
                ))}
            </div>
            {row.items.length > 0 && (
                <table className="mt-3 w-full text-left">
                    <Heads of={['Item', 'What', 'Before', 'After', 'Moves', '']} />
                    <tbody>
                        {row.items.map((i) => (
                            <tr key={i.key} className="border-t border-rule/60" data-moved={i.code}>
                                <td className="py-1 pr-4 font-mono">{i.code}</td>
                                <td className="pr-4">{i.title}</td>
                                <td className="pr-4 whitespace-nowrap">{short(i.before, today)}</td>
                                <td className="pr-4 font-semibold whitespace-nowrap">{short(i.after, today)}</td>
                                <td className="pr-4 whitespace-nowrap">
                                    {i.days === null
                                        ? ''
                                        : `${i.days > 0 ? '+' : ''}${i.days} ${Math.abs(i.days) === 1 ? 'day' : 'days'}`}
                                </td>
                                <td>{i.trouble && <State state="stop" word={i.trouble} />}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
        </Section>
    );
}
