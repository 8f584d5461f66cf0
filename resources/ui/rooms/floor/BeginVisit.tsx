import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Trouble } from '../../parts/Page';

/** A visit that is planned for a later day, begun today: asked for by name, since the aircraft is grounded by it. */
export function BeginVisit({ card }: { card: Schemas['CardView'] }) {
    const [asking, setAsking] = useState(false);
    const send = useSend(
        (_: Record<string, never>, headers) =>
            take(api.POST('/api/visits/{id}/begin', { params: { path: { id: card.visitId } }, headers })),
        () => setAsking(false),
    );
    return (
        <>
            <p className="mt-2">
                <Button className="min-h-12" onClick={() => setAsking(true)}>
                    Begin the visit early
                </Button>
            </p>
            {asking && (
                <Dialog open onClose={() => setAsking(false)} title={`Begin "${card.visit}" today?`}>
                    <p>
                        From now on {card.mark} stands in this visit and does not fly; today becomes its first day, on
                        the board and in every forecast. The controllers are told that you began it.
                    </p>
                    <Trouble error={send.error} />
                    <div className="mt-4 flex gap-3">
                        <Button kind="main" big disabled={send.isPending} onClick={() => send.mutate({})}>
                            {send.isPending ? 'Beginning…' : 'Begin it today'}
                        </Button>
                        <Button big onClick={() => setAsking(false)}>
                            Leave it as planned
                        </Button>
                    </div>
                </Dialog>
            )}
        </>
    );
}
