import type { DehydratedState } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { newest, restored, wanted } from './kept';

const state = (...read: [string, number][]): DehydratedState => ({
    mutations: [],
    queries: read.map(([room, at]) => ({
        queryKey: [room, at],
        queryHash: room + at,
        state: { dataUpdatedAt: at },
    })) as never,
});

describe('what is kept of what was read', () => {
    it('is what the work at the aircraft needs, and nothing else', () => {
        expect([['cards', 7], ['floor'], ['me'], ['registers', 'QC-TAC']].map(wanted)).toEqual([
            true,
            true,
            true,
            true,
        ]);
        expect([['crew'], ['stores'], ['release', 1], ['library']].map(wanted)).toEqual([false, false, false, false]);
    });

    it('is the newest, and always who is signed in', () => {
        const kept = newest(state(['cards', 3], ['me', 1], ['floor', 9], ['cards', 5]), 3);
        expect(kept.queries.map((q) => q.queryKey.join(' '))).toEqual(['me 1', 'floor 9', 'cards 5']);
    });

    it('is shown again only to the build that read it', () => {
        const text = JSON.stringify({ build: 'main-a.js', state: state(['me', 1]) });
        expect(restored(text, 'main-a.js')?.queries).toHaveLength(1);
        expect([restored(text, 'main-b.js'), restored('{half', 'main-a.js'), restored(null, '')]).toEqual([
            null,
            null,
            null,
        ]);
    });
});
