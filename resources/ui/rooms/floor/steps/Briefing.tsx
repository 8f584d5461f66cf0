import { useState } from 'react';
import { type Asked, api, take } from '../../../api/client';
import { useSend } from '../../../api/hooks';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { isSigned, StampAndPin, unsigned } from '../../../parts/StampAndPin';
import { State } from '../../../parts/State';
import type { StepProps } from '../useStep';

export type Brief = { person: number; name: string; stamp: string };

/** On a device of one's own: I stand here, and it is clear. */
export function StandHere({
    card,
    step,
    place,
    again,
}: Pick<StepProps, 'card' | 'step'> & { place: string; again: boolean }) {
    const send = useSend((body: Asked<'standHere'>, headers) =>
        take(
            api.POST('/api/cards/{id}/steps/{no}/here', {
                params: { path: { id: card.id, no: step.no } },
                body,
                headers,
            }),
        ),
    );
    return (
        <span>
            <Button className="min-h-12" disabled={send.isPending} onClick={() => send.mutate({ place })}>
                {again ? 'Still here' : 'I am here'}
            </Button>
            <Trouble error={send.error} />
        </span>
    );
}

/** What is told before anything moves, the words that mean stop, and who has read it. */
export function Briefing({
    card,
    step,
    signed,
    mine,
    at,
}: Pick<StepProps, 'card' | 'step'> & { signed: string | null; mine: boolean; at: string }) {
    const { stop, briefing, signs } = step.spec as { stop?: string; briefing?: string[]; signs?: string };
    const [stamp, setStamp] = useState(unsigned);
    const send = useSend((body: Asked<'signBriefing'>, headers) =>
        take(
            api.POST('/api/cards/{id}/steps/{no}/briefed', {
                params: { path: { id: card.id, no: step.no } },
                body,
                headers,
            }),
        ),
    );
    if (stop === undefined && briefing === undefined) {
        return null;
    }
    return (
        <section className="mt-3 max-w-3xl rounded-lg border-2 border-ink bg-sheet p-4" data-testid="briefing">
            {stop && (
                <p className="text-[1.1rem]">
                    The words that mean stop: <b className="text-[1.4rem]">{stop}</b>
                </p>
            )}
            {briefing && (
                <ul className="mt-1 list-disc pl-5">
                    {briefing.map((line) => (
                        <li key={line}>{line}</li>
                    ))}
                </ul>
            )}
            {signs && (
                <div className="mt-2">
                    {signed ? (
                        <p>
                            <State state="clear" word="Read and signed" /> by {signed}, at {signs}.
                        </p>
                    ) : mine ? (
                        <form
                            className="max-w-md"
                            onSubmit={(e) => {
                                e.preventDefault();
                                send.mutate(stamp);
                            }}
                        >
                            <StampAndPin signed={stamp} onSigned={setStamp} />
                            <Button big type="submit" className="mt-2" disabled={!isSigned(stamp) || send.isPending}>
                                I have read it
                            </Button>
                            <Trouble error={send.error} />
                        </form>
                    ) : (
                        <p>
                            <State state="waiting" word="Not signed yet" />:{' '}
                            {at === '' ? `whoever is at ${signs} signs it` : `${at}, at ${signs}, signs it`}, on a
                            device of their own.
                        </p>
                    )}
                </div>
            )}
        </section>
    );
}
