/**
 * What was last read from the server, kept on this device, so that a page opened or reloaded without a connection shows the
 * card as it was; it says since when. Only what the work at the aircraft needs is kept, and signing out takes it away.
 */

import { type DehydratedState, dehydrate, hydrate, type QueryClient, type QueryKey } from '@tanstack/react-query';
import { keys } from './keys';

const STORE = 'jorvel.read';
const ROOMS = ['me', 'moment', 'floor', 'cards', 'registers', 'findings'];
const MOST = 40;
/** How long it is kept while nobody looks at it: a shift and more. */
const LONG = 16 * 3_600_000;

type Kept = { build: string; state: DehydratedState };

export const wanted = (key: QueryKey): boolean => ROOMS.includes(String(key[0]));

/** The newest of what is wanted, and always who is signed in. */
export function newest(state: DehydratedState, most: number): DehydratedState {
    const rank = (q: DehydratedState['queries'][number]) =>
        q.queryKey[0] === keys.me[0] ? Number.POSITIVE_INFINITY : q.state.dataUpdatedAt;
    return { mutations: [], queries: [...state.queries].sort((a, b) => rank(b) - rank(a)).slice(0, most) };
}

/** What was kept by this same build; an older one may have read other shapes. */
export function restored(text: string | null, build: string): DehydratedState | null {
    try {
        const kept = JSON.parse(text ?? 'null') as Kept | null;
        return kept !== null && kept.build === build ? kept.state : null;
    } catch {
        return null;
    }
}

const build = (): string => document.querySelector<HTMLScriptElement>('script[type="module"][src]')?.src ?? '';

/** Shows what was kept, and keeps what is read from now on. */
export function keepReading(client: QueryClient): void {
    for (const room of ROOMS) {
        client.setQueryDefaults([room], { gcTime: LONG });
    }
    const state = restored(localStorage.getItem(STORE), build());
    if (state !== null) {
        hydrate(client, state);
        // Whether it still stands is asked as soon as it is looked at, however lately it was read; without a connection it stays as it is.
        void client.invalidateQueries();
    }
    let timer: ReturnType<typeof setTimeout> | null = null;
    client.getQueryCache().subscribe((event) => {
        if (!wanted(event.query.queryKey) || timer !== null) {
            return;
        }
        timer = setTimeout(() => {
            timer = null;
            write(client);
        }, 500);
    });
    window.addEventListener('pagehide', () => timer !== null && write(client));
}

function write(client: QueryClient): void {
    const me = client.getQueryState(['me']);
    if (me?.data === undefined || (me.error as { status?: number } | null)?.status === 401) {
        forgetReading();
        return;
    }
    const state = dehydrate(client, {
        shouldDehydrateQuery: (q) => q.state.data !== undefined && wanted(q.queryKey),
        shouldDehydrateMutation: () => false,
    });
    // Fewer, when the device holds no more.
    for (let most = MOST; most >= 1; most = Math.floor(most / 2)) {
        try {
            localStorage.setItem(STORE, JSON.stringify({ build: build(), state: newest(state, most) } satisfies Kept));
            return;
        } catch {
            forgetReading();
        }
    }
}

export function forgetReading(): void {
    localStorage.removeItem(STORE);
}
