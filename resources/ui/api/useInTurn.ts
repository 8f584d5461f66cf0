import { useRef, useState } from 'react';
import type { Failure } from './client';

/**
 * Previews one after the other, each asked of what the last one left: two quick drops are both laid, however slow the
 * line. What is refused changes nothing, and the next is asked of what stood before.
 */
export function useInTurn<V>(view: V, show: (next: V) => void) {
    const shown = useRef(view);
    const turn = useRef(Promise.resolve());
    const [waiting, setWaiting] = useState(0);
    const [error, setError] = useState<Failure | null>(null);
    // While one is on its way, what it left is known here before it is drawn.
    if (waiting === 0) {
        shown.current = view;
    }
    const ask = (preview: (of: V) => Promise<V>) => {
        setWaiting((n) => n + 1);
        turn.current = turn.current.then(async () => {
            setError(null);
            try {
                shown.current = await preview(shown.current);
                show(shown.current);
            } catch (e) {
                setError(e as Failure);
            }
            setWaiting((n) => n - 1);
        });
    };
    return { ask, waiting: waiting > 0, error };
}
