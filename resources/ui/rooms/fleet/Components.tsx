import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Section } from '../../parts/Page';
import { Fit, Move } from './MoveComponent';

export type Fitted = Schemas['ComponentView'];

/** What is fitted to an aircraft, with the life it has of its own. */
export function Components({ aircraft, may }: { aircraft: Schemas['AircraftView']; may: boolean }) {
    const [off, setOff] = useState<Fitted | null>(null);
    const [fitting, setFitting] = useState(false);
    return (
        <Section
            title={`${aircraft.components.length} components are fitted`}
            aside={
                may && (
                    <Button kind="quiet" className="noprint text-sm" onClick={() => setFitting(true)}>
                        Fit one from the store
                    </Button>
                )
            }
        >
            <table className="w-full text-left">
                <thead className="text-sm text-soft">
                    <tr>
                        {['Place', 'Component', 'Part', 'Serial', 'Its own counters', 'Since', ''].map((h) => (
                            <th key={h} className="py-1.5 pr-4 font-semibold">
                                {h}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {aircraft.components.map((c) => (
                        <tr key={c.id} className="border-t border-rule/60" data-component={c.serial}>
                            <td className="py-2 pr-4 font-semibold">{c.position}</td>
                            <td className="pr-4">{c.title}</td>
                            <td className="pr-4 font-mono">{c.partNo}</td>
                            <td className="pr-4 font-mono">{c.serial}</td>
                            <td className="pr-4">
                                {c.counters === '' ? <span className="text-soft">calendar only</span> : c.counters}
                            </td>
                            <td className="pr-4 whitespace-nowrap">{short(c.since, aircraft.today)}</td>
                            <td className="text-right whitespace-nowrap">
                                {c.gauge && (
                                    <Link to="/fleet/bottles" className="mr-3 text-sm underline underline-offset-4">
                                        trend
                                    </Link>
                                )}
                                {may && (
                                    <button
                                        type="button"
                                        className="min-h-9 px-2 text-sm underline underline-offset-4"
                                        onClick={() => setOff(c)}
                                    >
                                        move
                                    </button>
                                )}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {aircraft.components.length === 0 && (
                <p className="py-4 text-soft">Nothing with a life of its own is fitted.</p>
            )}
            {off && <Move component={off} onClose={() => setOff(null)} />}
            {fitting && <Fit aircraft={aircraft} onClose={() => setFitting(false)} />}
        </Section>
    );
}
