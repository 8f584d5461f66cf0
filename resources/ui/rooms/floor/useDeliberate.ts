import { useEffect, useState } from 'react';

/** How long a step is in sight, with nothing pressed, before it can be confirmed; in milliseconds. */
const QUIET = 900;

/**
 * One deliberate act a step: a step that has just come up cannot be confirmed at once, and whatever is pressed meanwhile begins the
 * wait anew. So a key held down, or a finger that goes on tapping one spot, confirms one step and no more.
 */
export function useDeliberate(): boolean {
    const [ready, setReady] = useState(false);
    useEffect(() => {
        if (ready) {
            return;
        }
        let timer = setTimeout(() => setReady(true), QUIET);
        const again = () => {
            clearTimeout(timer);
            timer = setTimeout(() => setReady(true), QUIET);
        };
        const onKey = (e: KeyboardEvent) => (e.key === 'Enter' || e.key === ' ') && again();
        window.addEventListener('pointerdown', again, true);
        window.addEventListener('keydown', onKey, true);
        return () => {
            clearTimeout(timer);
            window.removeEventListener('pointerdown', again, true);
            window.removeEventListener('keydown', onKey, true);
        };
    }, [ready]);
    return ready;
}
