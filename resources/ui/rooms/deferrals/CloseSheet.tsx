import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { Signature } from '../../parts/Signature';

/** The log is closed by name: how it was put right. */
export function CloseSheet({ page: p, onClose }: { page: Schemas['DeferralPage']; onClose: () => void }) {
    const [how, setHow] = useState('');
    const send = useSend(
        (body: { how: string; stamp: string; pin: string }, headers) =>
            take(api.POST('/api/deferrals/{id}/close', { params: { path: { id: p.deferral.id } }, body, headers })),
        onClose,
    );
    return (
        <Signature
            open
            title={`Close ${p.deferral.finding}`}
            says={
                <>
                    {p.deferral.title} on {p.deferral.mark} is put right: {how || '…'}. Its cards are signed, nothing of
                    it is left on the aircraft, the placard is off.
                </>
            }
            busy={send.isPending}
            error={send.error}
            ready={how.trim() !== ''}
            onSign={(stamp, pin) => send.mutate({ how, stamp, pin })}
            onClose={onClose}
        >
            <div className="mb-4">
                <Field label="How it was put right" name="how" value={how} onChange={(e) => setHow(e.target.value)} />
            </div>
        </Signature>
    );
}
