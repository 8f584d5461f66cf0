import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Section, Trouble } from '../../parts/Page';

/** A tool that sends what it shows does so by a token of its own; a new one ends the one before. */
export function ToolToken({ code }: { code: string }) {
    const [made, setMade] = useState<Schemas['TokenView'] | null>(null);
    const send = useSend(
        (_: null, headers) => take(api.POST('/api/tools/{code}/token', { params: { path: { code } }, headers })),
        setMade,
    );
    return (
        <Section title="Sending its readings">
            <p className="max-w-2xl">
                An instrument that sends what it shows posts it with a token of its own. In a field that takes this
                tool, F2 drops it in.
            </p>
            {made && (
                <dl className="mt-2 grid max-w-3xl grid-cols-[7rem_1fr] gap-x-4 gap-y-1 rounded-lg border-2 border-ink bg-sheet px-4 py-3">
                    <dt className="font-semibold">Address</dt>
                    <dd className="font-mono break-all">{made.address}</dd>
                    <dt className="font-semibold">Token</dt>
                    <dd className="font-mono break-all" data-testid="token">
                        {made.token}
                    </dd>
                    <dt className="font-semibold">Note it</dt>
                    <dd>It is shown this once; one that was there before no longer counts.</dd>
                </dl>
            )}
            <Trouble error={send.error} />
            <Button className="noprint mt-3" disabled={send.isPending} onClick={() => send.mutate(null)}>
                {made ? 'Another token' : 'Make a token'}
            </Button>
        </Section>
    );
}
