import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Section, Trouble } from '../../parts/Page';
import { Glyph } from '../../parts/State';

const FIRST = 6;

/**
 * The stays in which it could be closed: its cards go into the one that is chosen, a visit that there is or a new one.
 */
export function Stays({ page: p }: { page: Schemas['DeferralPage'] }) {
    const [all, setAll] = useState(false);
    const plan = useSend((slot: string, headers) =>
        take(
            api.POST('/api/deferrals/{id}/plan', {
                params: { path: { id: p.deferral.id } },
                body: { slot },
                headers,
            }),
        ),
    );
    if (!p.may.includes('plan')) {
        return null;
    }
    return (
        <Section title={`Where it could be closed, ${p.hours} h of work`}>
            <ul>
                {(all ? p.slots : p.slots.slice(0, FIRST)).map((s) => (
                    <li
                        key={s.id}
                        className="flex min-h-11 items-center justify-between gap-3 border-b border-rule/60 py-1"
                        data-stay={s.id}
                    >
                        <span>
                            <Glyph state={!s.inTime || !s.enough ? 'stop' : s.ready ? 'clear' : 'watch'} size={13} />{' '}
                            <b>{s.said}</b>, {s.title}
                            {s.kind === 'free' && `, ${s.bay}`}
                            <span className="text-sm text-soft">
                                {' '}
                                {s.enough ? `${s.free} h free` : `only ${s.free} h free`}
                                {!s.inTime && ', after its last day'}
                                {!s.ready && ', before everything is there'}
                            </span>
                        </span>
                        <Button
                            className="shrink-0"
                            disabled={!s.enough || plan.isPending}
                            onClick={() => plan.mutate(s.id)}
                        >
                            Plan it
                        </Button>
                    </li>
                ))}
            </ul>
            {p.slots.length > FIRST && (
                <Button kind="quiet" className="text-sm" onClick={() => setAll(!all)}>
                    {all ? 'fewer' : `all ${p.slots.length}`}
                </Button>
            )}
            {p.slots.length === 0 && <p className="py-2 text-soft">No visit is planned and no bay is free.</p>}
            <Trouble error={plan.error} />
        </Section>
    );
}
