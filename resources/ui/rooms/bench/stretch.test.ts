import { describe, expect, it } from 'vitest';
import { within } from './stretch';

describe('a stretch of a recording', () => {
    it.each([
        ['as asked', [10, 30], [10, 30]],
        ['before the beginning', [-20, 20], [0, 40]],
        ['beyond the end', [220, 260], [200, 240]],
        ['longer than the whole', [-50, 400], [0, 240]],
        ['shorter than a second', [100, 100.2], [100, 101]],
        ['shorter than a second, at the end', [239.9, 240], [239, 240]],
    ])('%s', (_, asked, is) => {
        expect(within(asked as [number, number], 240)).toEqual(is);
    });

    it('of a recording that is shorter than a second is the whole', () => {
        expect(within([0.2, 0.4], 0.6)).toEqual([0, 0.6]);
    });
});
