import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { typed } from '../../parts/fields';
import { Section, Trouble } from '../../parts/Page';

/** Findings that have no card yet: one is made with the hours that are reckoned with. */
export function Findings({ findings, may }: { findings: Schemas['VisitFinding'][]; may: boolean }) {
    if (findings.length === 0) {
        return null;
    }
    return (
        <Section
            title={
                findings.length === 1 ? 'One finding has no card yet' : `${findings.length} findings have no card yet`
            }
        >
            <ul className="divide-y divide-rule/70">
                {findings.map((f) => (
                    <FindingLine key={f.id} finding={f} may={may} />
                ))}
            </ul>
        </Section>
    );
}

function FindingLine({ finding: f, may }: { finding: Schemas['VisitFinding']; may: boolean }) {
    const [hours, setHours] = useState('4');
    const send = useSend((body: { hours: number }, headers) =>
        take(api.POST('/api/findings/{id}/card', { params: { path: { id: f.id } }, body, headers })),
    );
    return (
        <li className="py-2" data-finding={f.number}>
            <form
                className="flex flex-wrap items-center gap-3"
                onSubmit={(e) => {
                    e.preventDefault();
                    send.mutate({ hours: typed(hours) });
                }}
            >
                <span className="font-mono text-soft">{f.number}</span> <b>{f.place}</b> {f.extent}
                <span className="flex-1 text-sm text-soft">found on {f.card}</span>
                {may && (
                    <>
                        <label className="flex items-center gap-2">
                            Hours
                            <input
                                className="h-9 w-20 rounded-lg border-2 border-soft bg-sheet px-2"
                                inputMode="decimal"
                                name="hours"
                                required
                                value={hours}
                                onChange={(e) => setHours(e.target.value)}
                            />
                        </label>
                        <Button type="submit" disabled={send.isPending}>
                            Make its card
                        </Button>
                    </>
                )}
            </form>
            <Trouble error={send.error} />
        </li>
    );
}
