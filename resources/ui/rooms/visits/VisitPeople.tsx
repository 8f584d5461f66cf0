import { useQuery } from '@tanstack/react-query';
import { type Asked, api, type Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Trouble } from '../../parts/Page';
import type { Role } from './VisitCards';

const assign = (body: { id: number } & Asked<'assign'>, headers: Record<string, string>) =>
    take(
        api.POST('/api/cards/{id}/assignments', {
            params: { path: { id: body.id } },
            body: { person: body.person, role: body.role, remove: body.remove ?? false },
            headers,
        }),
    );

export function Assigned({ cardId, person, may }: { cardId: number; person: Schemas['AssignedView']; may: boolean }) {
    const send = useSend(assign);
    return (
        <span className="inline-flex items-center rounded-lg border border-rule bg-sheet pl-2.5">
            <span className="py-1">
                {person.name} <span className="font-mono text-sm text-soft">{person.stamp}</span>
                {person.role === 'duplicate' && <span className="text-sm text-soft"> inspects</span>}
            </span>
            {may ? (
                <button
                    type="button"
                    title={send.error?.message ?? 'Take off the card'}
                    className={`ml-1 min-h-8 px-2 ${send.error ? 'text-rust' : ''}`}
                    aria-label={`Take ${person.name} off`}
                    onClick={() =>
                        send.mutate({ id: cardId, person: person.personId, role: person.role, remove: true })
                    }
                >
                    −
                </button>
            ) : (
                <span className="w-2.5" />
            )}
        </span>
    );
}

export function Choose({ card, role, onClose }: { card: Schemas['VisitCard']; role: Role; onClose: () => void }) {
    const people = useQuery<Schemas['Candidate'][], Failure>({
        queryKey: keys.candidates(card.id, role),
        queryFn: () =>
            take(api.GET('/api/cards/{id}/candidates', { params: { path: { id: card.id }, query: { role } } })),
    });
    const send = useSend(assign, onClose);
    return (
        <Dialog
            open
            onClose={onClose}
            title={role === 'perform' ? `Who works ${card.number}?` : `Who inspects ${card.number} independently?`}
            wide
        >
            <Trouble error={send.error ?? people.error} />
            <ul className="mt-2 divide-y divide-rule/70">
                {people.data?.map((p) => (
                    <li key={p.id} className="flex items-center justify-between gap-4 py-1.5" data-person={p.stamp}>
                        <span>
                            <b>{p.name}</b> <span className="font-mono text-sm text-soft">{p.stamp}</span>{' '}
                            <span className="text-sm text-soft">{p.shift} shift</span>
                            {p.why && <span className="block text-sm text-rust">{p.why}</span>}
                            {p.remark && <span className="block text-sm text-ochre">{p.remark}</span>}
                        </span>
                        <Button
                            kind={p.fits ? 'main' : 'plain'}
                            disabled={send.isPending}
                            onClick={() => send.mutate({ id: card.id, person: p.id, role })}
                        >
                            Assign
                        </Button>
                    </li>
                ))}
            </ul>
        </Dialog>
    );
}
