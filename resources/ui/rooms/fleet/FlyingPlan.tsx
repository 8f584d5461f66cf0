import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Trouble } from '../../parts/Page';

/** What an aircraft is to fly: its planned sectors, and its week. */
export function FlyingPlan({ aircraft, may }: { aircraft: Schemas['AircraftView']; may: boolean }) {
    const [gone, setGone] = useState<{ id: number; number: string } | null>(null);
    const cancel = useSend((id: number, headers) =>
        take(api.POST('/api/sectors/{id}/cancel', { params: { path: { id } }, headers })),
    );
    const restore = useSend(
        (id: number, headers) => take(api.POST('/api/sectors/{id}/restore', { params: { path: { id } }, headers })),
        () => setGone(null),
    );
    return (
        <>
            {gone && (
                <p role="status" className="mt-4 flex items-center gap-3 rounded-lg border border-rule px-3 py-1.5">
                    {gone.number} is cancelled.
                    <Button disabled={restore.isPending} onClick={() => restore.mutate(gone.id)}>
                        Undo
                    </Button>
                    <Trouble error={restore.error} />
                </p>
            )}
            {aircraft.plan.sectors.length > 0 && (
                <>
                    <h3 className="mt-5 border-b border-rule pb-1 font-semibold">Planned sectors</h3>
                    <Trouble error={cancel.error} />
                    {aircraft.plan.sectors.map((s) => (
                        <p
                            key={s.id}
                            className="flex items-baseline gap-2 border-b border-rule/60 py-1"
                            data-sector={s.number}
                        >
                            {short(s.date, aircraft.today)}{' '}
                            <span className="font-mono text-sm text-soft">{s.number}</span>
                            <span className="flex-1">
                                {s.from} to {s.to}, {s.use}
                            </span>
                            {may && (
                                <button
                                    type="button"
                                    className="min-h-9 px-2 text-sm underline underline-offset-4"
                                    disabled={cancel.isPending}
                                    onClick={() =>
                                        cancel.mutate(s.id, {
                                            onSuccess: () => setGone({ id: s.id, number: s.number }),
                                        })
                                    }
                                >
                                    cancel
                                </button>
                            )}
                        </p>
                    ))}
                </>
            )}
            {aircraft.plan.week && (
                <>
                    <h3 className="mt-5 border-b border-rule pb-1 font-semibold">Its week</h3>
                    <table className="w-full text-right">
                        <thead className="text-sm text-soft">
                            <tr>
                                <th />
                                {['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((d) => (
                                    <th key={d} className="font-semibold">
                                        {d}
                                    </th>
                                ))}
                            </tr>
                        </thead>
                        <tbody>
                            {Object.entries(aircraft.plan.week).map(([counter, days]) => (
                                <tr key={counter} className="border-b border-rule/60">
                                    <td className="py-1 text-left">
                                        {aircraft.counters.find((c) => c.name === counter)?.title ?? counter}
                                    </td>
                                    {days.map((v, i) => (
                                        // biome-ignore lint/suspicious/noArrayIndexKey: the days of a week
                                        <td key={i} className="font-mono">
                                            {v}
                                        </td>
                                    ))}
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </>
            )}
        </>
    );
}
