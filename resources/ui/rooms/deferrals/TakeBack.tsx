import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';

/** A deferral that nobody has begun to make safe is taken back; the finding waits for a decision again. */
export function TakeBack({ page: p, onClose }: { page: Schemas['DeferralPage']; onClose: () => void }) {
    const [why, setWhy] = useState('');
    const go = useNavigate();
    const send = useSend(
        (body: { why: string }, headers) =>
            take(api.POST('/api/deferrals/{id}/take-back', { params: { path: { id: p.deferral.id } }, body, headers })),
        (room) => go(`/deferrals/decide/${room.finding.id}`),
    );
    return (
        <FormDialog
            title={`Take the deferral of ${p.deferral.finding} back`}
            action="Take it back"
            ready={why.trim() !== ''}
            send={send}
            onSend={() => send.mutate({ why })}
            onClose={onClose}
        >
            <p>Its make-safe card is withdrawn, and the finding waits for a decision again.</p>
            <Field label="Why" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
        </FormDialog>
    );
}
