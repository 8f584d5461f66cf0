import { useEffect } from 'react';

/** Back and forth by the arrow keys, while nobody types into a field. */
export function useArrows(go: (by: number) => void) {
    useEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            const by = { ArrowLeft: -1, ArrowRight: 1 }[e.key];
            if (by !== undefined && !(e.target instanceof HTMLInputElement)) {
                e.preventDefault();
                go(by);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
}
