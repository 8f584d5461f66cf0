import { useState } from 'react';
import type { Body } from '../../api/queue';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { type StepProps, useStep } from './useStep';

/** Something that is said of a step with a reason, and once only: broken off, not applicable. */
export function Reason({
    title,
    says,
    asks,
    action,
    act,
    onClose,
    ...of
}: Pick<StepProps, 'card' | 'step' | 'onConflict'> & {
    title: string;
    says: string;
    asks: string;
    action: string;
    act: Body['do'];
    onClose: () => void;
}) {
    const [why, setWhy] = useState('');
    const send = useStep(of);
    return (
        <FormDialog
            title={title}
            action={action}
            ready={why.trim() !== ''}
            send={send}
            onSend={() => send.mutate({ do: act, note: why }, { onSuccess: onClose })}
            onClose={onClose}
        >
            <p>{says}</p>
            <Field label={asks} name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
        </FormDialog>
    );
}
