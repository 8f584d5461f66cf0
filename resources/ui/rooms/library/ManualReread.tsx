import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import type { Room } from './Manual';
import { Agree, type Option, type Outcome } from './ManualAgree';
import { Beside, Steps } from './ManualDiff';
import { allSeen, Lost } from './ManualLost';

export function Reread({
    template,
    room,
    onClose,
}: {
    template: Schemas['MarkedTemplate'];
    room: Room;
    onClose: () => void;
}) {
    const [both, setBoth] = useState(false);
    const [fleets, setFleets] = useState<string[]>([]);
    const [seen, setSeen] = useState<string[]>([]);
    const send = useSend(
        (body: { outcome: Outcome; note: string; fleets?: string[]; seen: string[] }, headers) =>
            take(
                api.POST('/api/library/templates/{id}/reread', {
                    params: { path: { id: template.id } },
                    body,
                    headers,
                }),
            ),
        onClose,
    );
    const options: Option<Outcome>[] = [
        {
            value: 'stands',
            says: template.stays
                ? `It stays at revision ${template.revision}, as the approved data of its fleets says`
                : 'Its steps stand as they are written',
        },
        ...(template.proposed === null
            ? []
            : [
                  { value: 'new' as const, says: `The new method, ${template.proposed}, for every fleet` },
                  ...(template.mayBoth
                      ? [
                            {
                                value: 'both' as const,
                                says: `Both: ${template.proposed} for the fleets named, the present one for the others`,
                            },
                        ]
                      : []),
              ]),
    ];
    return (
        <Agree
            title={`${template.code} ${template.title}, read against revision ${room.revision}`}
            options={options}
            first={null}
            busy={send.isPending}
            error={send.error}
            ready={(!both || fleets.length > 0) && allSeen([template], seen)}
            reads={
                <>
                    {template.pieces.length > 0 && (
                        <Beside
                            pieces={template.pieces}
                            old={`revision ${template.revision}`}
                            now={`revision ${room.revision}`}
                        />
                    )}
                    {template.stepsProposed.length > 0 && (
                        <div className="mt-2 grid grid-cols-2 gap-3 max-[800px]:grid-cols-1">
                            <Steps title={template.method || 'the present method'} steps={template.stepsNow} />
                            <Steps title={template.proposed ?? ''} steps={template.stepsProposed} />
                        </div>
                    )}
                </>
            }
            onPick={(o) => setBoth(o === 'both')}
            onSend={(outcome, note) => send.mutate({ outcome, note, seen, ...(outcome === 'both' ? { fleets } : {}) })}
            onClose={onClose}
        >
            <Lost templates={[template]} seen={seen} onSeen={setSeen} />
            {both && (
                <fieldset>
                    <legend className="font-semibold">Fleets whose approved data has the new method</legend>
                    {room.fleets.map((f) => (
                        <label key={f} className="flex min-h-12 items-center gap-3">
                            <input
                                type="checkbox"
                                className="size-6 shrink-0 accent-spruce"
                                checked={fleets.includes(f)}
                                onChange={(e) =>
                                    setFleets((s) => (e.target.checked ? [...s, f] : s.filter((x) => x !== f)))
                                }
                            />
                            {f}
                        </label>
                    ))}
                </fieldset>
            )}
        </Agree>
    );
}

export function Accept({ card, onClose }: { card: Schemas['MarkedCard']; onClose: () => void }) {
    const send = useSend(
        (body: { version: number; outcome: 'stands' | 'new'; note: string }, headers) =>
            take(api.POST('/api/cards/{id}/reread', { params: { path: { id: card.id } }, body, headers })),
        onClose,
    );
    const options: Option<'stands' | 'new'>[] = [
        ...(card.begun ? [] : [{ value: 'new' as const, says: 'Make its steps anew from the template' }]),
        { value: 'stands', says: 'Its steps stand as they are' },
    ];
    return (
        <Agree
            title={`Card ${card.number} on ${card.mark}`}
            options={options}
            first={card.begun ? 'stands' : 'new'}
            busy={send.isPending}
            error={send.error}
            onSend={(outcome, note) => send.mutate({ version: card.version, outcome, note })}
            onClose={onClose}
        />
    );
}
