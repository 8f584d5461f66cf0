import { useState } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { Button } from '../../parts/Button';
import { Actions } from '../../parts/Dialog';
import { ImportPreview } from './ImportPreview';

/** An edit goes the way of a file: it is looked at first, and what it does is shown, before it is applied. */
export function useLooking(kind: 'programme' | 'listed') {
    const [view, setView] = useState<Schemas['ImportView'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const look = async (name: string, file: object) => {
        setError(null);
        setView(null);
        try {
            const text = JSON.stringify(file, null, 1);
            setView(await take(api.POST('/api/library/imports', { body: { kind, name, text } })));
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'It could not be looked at.'));
        }
    };
    return { view, error, setView, look };
}

/** What the edit does, once it was looked at; and the way on or out. */
export function Looking(props: { of: ReturnType<typeof useLooking>; onLook: () => void; onClose: () => void }) {
    const { view, error, setView } = props.of;
    return (
        <>
            <ImportPreview view={view} error={error} onView={setView} />
            <Actions>
                <Button kind={view ? 'plain' : 'main'} big onClick={props.onLook}>
                    What does it do?
                </Button>
                <Button big onClick={props.onClose}>
                    {view?.state === 'applied' ? 'Done' : 'Discard'}
                </Button>
            </Actions>
        </>
    );
}
