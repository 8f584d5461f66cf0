import { describe, expect, it } from 'vitest';
import { draftOf, itemOf } from './listedItem';

const source = {
    code: '78-L1',
    title: 'One reverser',
    chapter: '78-31',
    system: 'reversers',
    category: 'C',
    words: ['reverser', 'unlocked'],
    limits: { days: 8, ldg: 20 },
    installed: 2,
    required: 1,
    restrict: { max_landing_weight_kg: 7200.5 },
    size: [80, 20],
    placard: 'REV INOP',
};

describe('a listed item', () => {
    it('comes back as it was', () => {
        expect(itemOf(draftOf(source), source)).toEqual(source);
        expect(Object.keys(itemOf(draftOf(source), source))).toEqual(Object.keys(source));
    });
    it('holds only what was filled in', () => {
        const draft = { ...draftOf(source), words: ' \n', conditions: ' dry only ', carry: '', withdrawn: true };
        const item = itemOf(draft, source);
        expect(item).toMatchObject({ conditions: 'dry only', withdrawn: true });
        expect(item).not.toHaveProperty('words');
        expect(item).not.toHaveProperty('carry');
    });
    it('leaves what is no number to the server', () => {
        const item = itemOf({ ...draftOf(source), installed: 'two', limits: 'days=8,5\nfh' }, source);
        expect(item).toMatchObject({ installed: 'two', limits: { days: 8.5, fh: '' } });
    });
});
