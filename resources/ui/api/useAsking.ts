import { useEffect, useRef, useState } from 'react';
import { Failure } from './client';

/** `said` is the last answer; `failed` tells that the one after it did not come. */
export type Asking<T> = { said: T | null; failed: Failure | null };

/**
 * What the server says of something while it is typed: asked `wait` ms after the last change; an answer to what was
 * typed before is let go. Without a body nothing is asked, and nothing is said.
 */
export function useAsking<B, T>(body: B | null, ask: (body: B) => Promise<T>, wait: number): Asking<T> {
    const [out, setOut] = useState<Asking<T>>({ said: null, failed: null });
    const text = JSON.stringify(body);
    const now = useRef(ask);
    now.current = ask;
    useEffect(() => {
        const asked = JSON.parse(text) as B | null;
        if (asked === null) {
            setOut({ said: null, failed: null });
            return;
        }
        let live = true;
        const timer = setTimeout(() => {
            now.current(asked)
                .then((said) => live && setOut({ said, failed: null }))
                .catch((e: unknown) => {
                    const failed = e instanceof Failure ? e : new Failure(0, 'It could not be looked at.');
                    return live && setOut((was) => ({ ...was, failed }));
                });
        }, wait);
        return () => {
            live = false;
            clearTimeout(timer);
        };
    }, [text, wait]);
    return out;
}
