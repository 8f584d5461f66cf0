import { useState } from 'react';
import { api, take } from '../../../api/client';
import { useSend } from '../../../api/hooks';
import { Button } from '../../../parts/Button';
import { Signature } from '../../../parts/Signature';
import { State } from '../../../parts/State';
import type { StepProps } from '../useStep';
import { Tick } from './Part';

/** An independent inspection before the card goes on: what it covers, and who may not do it. */
export function InspectionStep({ card, step }: StepProps) {
    const covers = step.spec.covers as string[];
    const [open, setOpen] = useState(false);
    const [seen, setSeen] = useState<string[]>([]);
    const send = useSend(
        (body: { version: number; covers: string[]; stamp: string; pin: string }, headers) =>
            take(
                api.POST('/api/cards/{id}/steps/{no}/inspect', {
                    params: { path: { id: card.id, no: step.no } },
                    body,
                    headers,
                }),
            ),
        () => setOpen(false),
    );
    return (
        <>
            <p className="mt-4 text-[1.1rem]">
                It covers <b>{covers.join(', ')}</b>.
            </p>
            {card.may.includes('inspect') ? (
                <div className="mt-6">
                    <Button kind="main" big onClick={() => setOpen(true)}>
                        Inspect and sign
                    </Button>
                </div>
            ) : (
                <p className="mt-4 rounded-lg border-2 border-dashed border-slate p-3">
                    <State state="waiting" word="Waits" /> for an inspector who did not work the card
                    {card.inspectWhy ? `; not you: ${card.inspectWhy}` : ''}. It stands in the inspectors' own list on
                    the Floor.
                </p>
            )}
            <Signature
                open={open}
                title={`Inspect step ${step.no} of ${card.number} independently`}
                says={`I inspected ${card.title} on ${card.mark} at step ${step.no} and took no part in the work: ${covers.join(', ')}.`}
                busy={send.isPending}
                error={send.error}
                ready={covers.every((c) => seen.includes(c))}
                onSign={(stamp, pin) => send.mutate({ version: card.version, covers: seen, stamp, pin })}
                onClose={() => setOpen(false)}
            >
                <div className="mb-4 grid gap-2">
                    {covers.map((c) => (
                        <Tick
                            key={c}
                            label={c}
                            checked={seen.includes(c)}
                            onChange={(on) => setSeen((s) => (on ? [...s, c] : s.filter((x) => x !== c)))}
                        />
                    ))}
                </div>
            </Signature>
        </>
    );
}
