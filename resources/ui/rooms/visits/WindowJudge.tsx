import type { FormEvent } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { typed, useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { one } from './WindowForecast';

/** What is to be expected, judged otherwise than the type's history does. */
export function Judge({ w, onClose }: { w: Schemas['WindowView']; onClose: () => void }) {
    const { values: at, bind } = useFields({
        look: w.lookUntil,
        rate: one(w.perHundred),
        worth: String(Math.round(w.worthHours)),
        reason: '',
    });
    const send = useSend(
        (
            body: {
                look_until: string | null;
                prior: { per_hundred: number; worth_hours: number } | null;
                reason: string;
            },
            headers,
        ) => take(api.POST('/api/visits/{id}/window', { params: { path: { id: w.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({
            look_until: at.look,
            prior: { per_hundred: typed(at.rate), worth_hours: typed(at.worth) },
            reason: at.reason,
        });
    };
    return (
        <Dialog open onClose={onClose} title="Judge the windows otherwise">
            <form onSubmit={submit} className="mt-3 space-y-3">
                <Field label="Look until" type="date" required {...bind('look')} />
                <Field
                    label="Findings to expect in 100 hours of looking"
                    inputMode="decimal"
                    required
                    {...bind('rate')}
                />
                <Field
                    label="Worth how many hours of experience: more means that what is found counts for less"
                    inputMode="decimal"
                    required
                    {...bind('worth')}
                />
                <Field label="Why" required {...bind('reason')} />
                <Trouble error={send.error} />
                <div className="flex gap-2">
                    <Button kind="main" type="submit" disabled={send.isPending}>
                        Apply
                    </Button>
                    {w.byHand && (
                        <Button
                            disabled={send.isPending}
                            onClick={() =>
                                send.mutate({
                                    look_until: at.look,
                                    prior: null,
                                    reason: at.reason === '' ? 'back to the history' : at.reason,
                                })
                            }
                        >
                            Back to the type's history
                        </Button>
                    )}
                </div>
            </form>
        </Dialog>
    );
}
