/** Whether the server answered when it was last asked: a network without it behind is no connection either. */

import { useSyncExternalStore } from 'react';

const heard = new Set<() => void>();
let answers = true;

export function answered(yes: boolean): void {
    if (yes !== answers) {
        answers = yes;
        for (const f of heard) {
            f();
        }
    }
}

const listen = (f: () => void): (() => void) => {
    heard.add(f);
    window.addEventListener('online', f);
    window.addEventListener('offline', f);
    return () => {
        heard.delete(f);
        window.removeEventListener('online', f);
        window.removeEventListener('offline', f);
    };
};

export const useConnected = (): boolean =>
    useSyncExternalStore(
        listen,
        () => answers && navigator.onLine,
        () => true,
    );
