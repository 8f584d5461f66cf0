import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Pick } from '../../parts/Pick';

type Severity = 'minor' | 'major' | 'critical';

/** How a report ends: as a finding at a place, or as no fault by a test that is on record. */
export function EndReport({
    page: p,
    how,
    onClose,
}: {
    page: Schemas['ReportPage'];
    how: 'finding' | 'no_fault';
    onClose: () => void;
}) {
    const [place, setPlace] = useState('');
    const [severity, setSeverity] = useState<Severity>('minor');
    const [card, setCard] = useState(String(p.proofs[0]?.id ?? ''));
    const [said, setSaid] = useState('');
    const params = { path: { id: p.report.id } };
    const send = useSend(
        (_: object, headers) =>
            how === 'finding'
                ? take(api.POST('/api/reports/{id}/finding', { params, body: { place, severity }, headers }))
                : take(api.POST('/api/reports/{id}/no-fault', { params, body: { card: Number(card), said }, headers })),
        onClose,
    );
    return (
        <FormDialog
            title={how === 'finding' ? `${p.report.number} is a finding` : `${p.report.number}: no fault found`}
            action={how === 'finding' ? 'Raise it' : 'End it'}
            ready={how === 'finding' ? place.trim() !== '' : card !== '' && said.trim() !== ''}
            send={send}
            onSend={() => send.mutate({ how, place, severity, card, said })}
            onClose={onClose}
        >
            {how === 'finding' ? (
                <>
                    <Field label="Where" name="place" value={place} onChange={(e) => setPlace(e.target.value)} />
                    <Pick big label="It is" value={severity} onChange={(v) => setSeverity(v as Severity)}>
                        <option value="minor">minor</option>
                        <option value="major">major</option>
                        <option value="critical">critical</option>
                    </Pick>
                </>
            ) : (
                <>
                    <Pick big label="The test that says so" value={card} onChange={setCard}>
                        {p.proofs.map((t) => (
                            <option key={t.id} value={t.id}>
                                {t.code} {t.title}, {t.said}
                            </option>
                        ))}
                    </Pick>
                    <Field
                        label="What was tested, and how it came out"
                        name="said"
                        value={said}
                        onChange={(e) => setSaid(e.target.value)}
                    />
                </>
            )}
        </FormDialog>
    );
}
