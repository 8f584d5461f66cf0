import { describe, expect, it } from 'vitest';
import { earlier } from '../../parts/earlier';
import { type Item, numbers } from './item';

const item = (part: Partial<Item> = {}): Item => ({
    code: '05-21',
    title: 'Phase check',
    rule: 'first',
    rebase: 'planned',
    card: 'SKV-05-21',
    chapter: '05',
    phase: true,
    limits: [{ unit: 'fh', interval: 300, tolerance: { pct: 5, cap: 15 } }],
    ...part,
});
const sent = (part: Partial<Item>): Item => JSON.parse(JSON.stringify(numbers(item(part))));

describe('an item that was edited', () => {
    it('goes out as it came in where nothing was typed', () => {
        expect(sent({})).toEqual(item());
    });

    it('carries what was typed as numbers, with a comma or a point', () => {
        expect(
            sent({ limits: [{ unit: 'fh', interval: ' 312,5 ', threshold: '400', early: { pct: '7.5' } }] }).limits,
        ).toEqual([{ unit: 'fh', interval: 312.5, threshold: 400, early: { pct: 7.5 } }]);
    });

    it('keeps its set in order, moves one up, and leaves an empty set out', () => {
        expect(earlier(['a', 'b', 'c'], 2)).toEqual(['a', 'c', 'b']);
        expect(earlier(['a', 'b'], 0)).toEqual(['a', 'b']);
        expect(sent({ cards: ['SKV-A', 'SKV-B'] }).cards).toEqual(['SKV-A', 'SKV-B']);
        expect(sent({ cards: [] }).cards).toBeUndefined();
    });

    it('leaves out what was emptied, and the allowance with it', () => {
        const limits = [
            {
                unit: 'fh',
                interval: '300',
                threshold: ' ',
                tolerance: { abs: '', pct: '', cap: '' },
                early: { abs: '', pct: '5' },
            },
        ];
        expect(sent({ limits }).limits).toEqual([{ unit: 'fh', interval: 300, early: { pct: 5 } }]);
        expect(sent({ harsh: { gravel: '', salt: '' } }).harsh).toBeUndefined();
        expect(sent({ harsh: { gravel: '0,5', salt: '' } }).harsh).toEqual({ gravel: 0.5 });
    });

    it('sends what is no number as it was typed, for the server to name', () => {
        expect(sent({ limits: [{ unit: 'fh', interval: 'often' }] }).limits).toEqual([
            { unit: 'fh', interval: 'often' },
        ]);
        expect(sent({ limits: [{ unit: 'fh', interval: '' }] }).limits).toEqual([{ unit: 'fh', interval: '' }]);
    });
});
