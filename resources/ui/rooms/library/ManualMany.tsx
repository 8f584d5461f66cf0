import { useState } from 'react';
import { type Asked, api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import type { Room } from './Manual';
import { Agree } from './ManualAgree';
import { allSeen, Lost } from './ManualLost';

/** Several templates and open cards at once: chosen here, accepted under one name and one note. */
export function Many({ room, onClose }: { room: Room; onClose: () => void }) {
    const marked = room.templates.filter((t) => t.marked);
    const [chosen, setChosen] = useState<string[]>([]);
    const [seen, setSeen] = useState<string[]>([]);
    const templates = marked.filter((t) => chosen.includes(`t${t.id}`));
    // A card follows when its template is read, now or before.
    const cards = room.cards.filter((c) => c.templateRead || templates.length === marked.length);
    const send = useSend(
        (body: Asked<'rereadMany'>, headers) =>
            take(
                api.POST('/api/library/manuals/{code}/reread', {
                    params: { path: { code: room.code } },
                    body,
                    headers,
                }),
            ),
        onClose,
    );
    const box = (id: string, text: string) => (
        <label key={id} className="flex min-h-10 items-center gap-3 border-b border-rule/60">
            <input
                type="checkbox"
                name={id}
                className="size-6 shrink-0 accent-spruce"
                checked={chosen.includes(id)}
                onChange={(e) => setChosen((s) => (e.target.checked ? [...s, id] : s.filter((x) => x !== id)))}
            />
            {text}
        </label>
    );
    return (
        <Agree
            title={`Many at once, read against revision ${room.revision}`}
            options={[{ value: 'stands', says: 'Their steps stand as they are written' }]}
            first="stands"
            busy={send.isPending}
            error={send.error}
            ready={chosen.length > 0 && allSeen(templates, seen)}
            reads={
                <div className="max-h-72 overflow-auto">
                    {marked.map((t) => box(`t${t.id}`, `${t.code} ${t.title}; ${t.textState ?? ''}`))}
                    {cards.map((c) => box(`c${c.id}`, `Card ${c.number} on ${c.mark}, ${c.title}`))}
                </div>
            }
            onSend={(_, note) =>
                send.mutate({
                    templates: templates.map((t) => t.id),
                    cards: Object.fromEntries(
                        cards.filter((c) => chosen.includes(`c${c.id}`)).map((c) => [String(c.id), c.version]),
                    ),
                    note,
                    seen,
                })
            }
            onClose={onClose}
        >
            <Lost templates={templates} seen={seen} onSeen={setSeen} />
        </Agree>
    );
}
