import { QueryClient } from '@tanstack/react-query';
import { describe, expect, it } from 'vitest';
import { type Affects, keys, readAnew, touches } from './keys';

describe('what a change touches is read anew, and nothing else', () => {
    const all = [keys.me, keys.moment, keys.fleet, keys.visit(3), keys.card(7), keys.part('JV-1'), keys.person(2)];
    const stale = (affects?: Affects, but?: readonly unknown[]): string[] => {
        const client = new QueryClient();
        for (const key of all) {
            client.setQueryData(key, 'read');
        }
        readAnew(client, affects, but);
        return all.filter((key) => client.getQueryState(key)?.isInvalidated).map((key) => key.join('/'));
    };
    const everything = ['moment', 'fleet', 'visits/3', 'cards/7', 'stores/part/JV-1', 'crew/2'];

    it.each<[Affects | undefined, string[]]>([
        [undefined, everything],
        [touches.parts, ['moment', 'visits/3', 'cards/7', 'stores/part/JV-1']],
        [touches.people, ['moment', 'visits/3', 'cards/7', 'crew/2']],
        [touches.search, ['moment', 'visits/3']],
    ])('%j', (affects, expected) => expect(stale(affects)).toEqual(expected));

    it('leaves what has just come back as it is', () =>
        expect(stale('everything', keys.card(7))).toEqual(everything.filter((k) => k !== 'cards/7')));
});
