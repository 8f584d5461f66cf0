import { type FormEvent, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';

/** A finding: where it is, and how far it goes. */
export function Raise({ card, onClose }: { card: Schemas['CardView']; onClose: () => void }) {
    const [place, setPlace] = useState('');
    const [extent, setExtent] = useState('');
    const send = useSend(
        (body: { place: string; extent: string }, headers) =>
            take(api.POST('/api/cards/{id}/findings', { params: { path: { id: card.id } }, body, headers })),
        onClose,
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({ place, extent });
    };
    return (
        <Dialog open onClose={onClose} title={`Something is wrong on ${card.mark}`}>
            <form onSubmit={submit} className="space-y-4">
                <Field
                    label="Place"
                    name="place"
                    autoFocus
                    placeholder="propeller 1, blade 3, leading edge"
                    value={place}
                    onChange={(e) => setPlace(e.target.value)}
                />
                <Field
                    label="Extent"
                    name="extent"
                    placeholder="boot edge lifted over 40 mm"
                    value={extent}
                    onChange={(e) => setExtent(e.target.value)}
                    hint="What it is and how far it goes: from hole to edge, so long, so deep."
                />
                <Trouble error={send.error} />
                <Button kind="main" big type="submit" disabled={send.isPending || place === '' || extent === ''}>
                    Raise the finding
                </Button>
            </form>
        </Dialog>
    );
}
