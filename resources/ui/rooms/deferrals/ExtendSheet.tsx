import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Signature } from '../../parts/Signature';

/** Lengthens it within what its category allows: how long, why, and under which approval. */
export function ExtendSheet({ page: p, onClose }: { page: Schemas['DeferralPage']; onClose: () => void }) {
    const [days, setDays] = useState('');
    const [reason, setReason] = useState('');
    const [approval, setApproval] = useState('');
    const send = useSend(
        (body: { days: number; reason: string; approval: string; stamp: string; pin: string }, headers) =>
            take(api.POST('/api/deferrals/{id}/extend', { params: { path: { id: p.deferral.id } }, body, headers })),
        onClose,
    );
    const ask = useSend(
        (body: { days: number; reason: string }, headers) =>
            take(
                api.POST('/api/deferrals/{id}/ask-extension', {
                    params: { path: { id: p.deferral.id } },
                    body,
                    headers,
                }),
            ),
        onClose,
    );
    const said = /^\d+$/.test(days) && reason.trim() !== '';
    return (
        <Signature
            open
            title={`Extend ${p.deferral.finding}`}
            says={
                <>
                    I extend {p.deferral.title} on {p.deferral.mark}, category {p.deferral.category}, by {days || '…'}{' '}
                    days under approval {approval || '…'}: {reason || '…'}
                </>
            }
            busy={send.isPending}
            error={send.error ?? ask.error}
            ready={said && approval.trim() !== ''}
            onSign={(stamp, pin) => send.mutate({ days: Number(days), reason, approval, stamp, pin })}
            onClose={onClose}
        >
            <div className="mb-4 space-y-3">
                <Field
                    label={`Days, up to ${p.extend}`}
                    name="days"
                    inputMode="numeric"
                    value={days}
                    onChange={(e) => setDays(e.target.value)}
                />
                <Field label="Reason" name="reason" value={reason} onChange={(e) => setReason(e.target.value)} />
                <Field
                    label="Approval number"
                    name="approval"
                    value={approval}
                    onChange={(e) => setApproval(e.target.value)}
                />
                {approval.trim() === '' && (
                    <p className="flex items-center gap-3">
                        <Button
                            className="shrink-0 whitespace-nowrap"
                            disabled={!said || ask.isPending}
                            onClick={() => ask.mutate({ days: Number(days), reason })}
                        >
                            Ask for it
                        </Button>
                        <span className="text-soft">No approval yet: it stands as asked for; nothing is extended.</span>
                    </p>
                )}
            </div>
        </Signature>
    );
}
