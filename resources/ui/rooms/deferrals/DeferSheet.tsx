import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Caution } from '../../parts/Page';
import { Signature } from '../../parts/Signature';

export function DeferSheet({
    finding,
    option,
    onClose,
}: {
    finding: Schemas['OpenFinding'];
    option: Schemas['OptionView'];
    onClose: () => void;
}) {
    const [safed, setSafed] = useState(false);
    const [carry, setCarry] = useState(false);
    const send = useSend(
        (body: { item: number; safed: boolean; carry_safing: boolean; stamp: string; pin: string }, headers) =>
            take(api.POST('/api/findings/{id}/defer', { params: { path: { id: finding.id } }, body, headers })),
        onClose,
    );
    return (
        <Signature
            open
            title={`Carry ${finding.number} under ${option.code}`}
            says={
                <>
                    I defer "{finding.place}: {finding.extent}" on {finding.mark} under {option.code} {option.title},
                    category {option.category}. It {option.said.charAt(0).toLowerCase() + option.said.slice(1)}.
                </>
            }
            busy={send.isPending}
            error={send.error}
            ready={safed}
            onSign={(stamp, pin) => send.mutate({ item: option.id, safed, carry_safing: carry, stamp, pin })}
            onClose={onClose}
        >
            <div className="mb-4 space-y-3">
                {option.procedure && <Caution level="warning">{option.procedure}</Caution>}
                <label className="flex min-h-12 items-center gap-3">
                    <input
                        type="checkbox"
                        name="safed"
                        className="size-6 accent-spruce"
                        checked={safed}
                        onChange={(e) => setSafed(e.target.checked)}
                    />
                    <span>
                        {option.procedure ? 'The procedure has been carried out, and the' : 'The'} placard{' '}
                        <span className="font-mono">{option.placard}</span> is fitted.
                    </span>
                </label>
                <label className="flex min-h-12 items-center gap-3">
                    <input
                        type="checkbox"
                        name="carry"
                        className="size-6 accent-spruce"
                        checked={carry}
                        onChange={(e) => setCarry(e.target.checked)}
                    />
                    <span>Safing devices of card {finding.card} stay on under this deferral.</span>
                </label>
            </div>
        </Signature>
    );
}
