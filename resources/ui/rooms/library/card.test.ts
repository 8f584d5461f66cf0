import { describe, expect, it } from 'vitest';
import {
    atOf,
    begun,
    changed,
    got,
    inserted,
    lines,
    listed,
    moved,
    number,
    numberOf,
    points,
    put,
    redone,
    removed,
    type Step,
    stepAt,
    undone,
    written,
} from './card';

const one = (title: string): Step => ({ kind: 'instruction', title });
const block = (...titles: string[]): Step => ({
    kind: 'each',
    title: 'Each',
    spec: { positions: ['left', 'right', 'spare'], steps: titles.map(one) },
});
const steps = [one('a'), block('x', 'y'), one('b')];
const titles = (list: Step[]) => listed(list).map((r) => `${r.at.k === null ? '' : '.'}${r.step.title}`);

describe('the steps of a card while they are written', () => {
    it('stand in one list, each block with what is in it', () => {
        expect(titles(steps)).toEqual(['a', 'Each', '.x', '.y', 'b']);
        expect(stepAt(steps, { i: 1, k: 1 })?.title).toBe('y');
        expect(stepAt(steps, { i: 0, k: 0 })).toBeUndefined();
    });

    it('are put in, changed, taken out and moved, in the card and in a block', () => {
        expect(titles(inserted(steps, { i: -1, k: null }, one('n')))).toEqual(['n', 'a', 'Each', '.x', '.y', 'b']);
        expect(titles(inserted(steps, { i: 1, k: 0 }, one('n')))).toEqual(['a', 'Each', '.x', '.n', '.y', 'b']);
        expect(titles(changed(steps, { i: 1, k: 0 }, one('z')))).toEqual(['a', 'Each', '.z', '.y', 'b']);
        expect(titles(removed(steps, { i: 1, k: 1 }))).toEqual(['a', 'Each', '.x', 'b']);
        expect(titles(removed(steps, { i: 1, k: null }))).toEqual(['a', 'b']);
        const down = moved(steps, { i: 0, k: null }, 1);
        expect([titles(down.steps), down.at]).toEqual([['Each', '.x', '.y', 'a', 'b'], { i: 1, k: null }]);
        expect(titles(moved(steps, { i: 1, k: 0 }, 1).steps)).toEqual(['a', 'Each', '.y', '.x', 'b']);
        expect(moved(steps, { i: 1, k: 1 }, 1)).toEqual({ steps, at: { i: 1, k: 1 } });
        expect(titles(steps)).toEqual(['a', 'Each', '.x', '.y', 'b']);
    });

    it('have the number that the card will show, a block counted at each position', () => {
        expect([0, 1, 2].map((i) => numberOf(steps, { i, k: null }))).toEqual([1, 2, 8]);
        expect(numberOf(steps, { i: 1, k: 1 })).toBe(3);
        // A test has its begin before its own steps, and its verdict after them.
        const test = { ...one('t'), kind: 'functional', spec: { steps: [one('x'), one('y')] } };
        expect([0, 1, 2].map((i) => numberOf([one('a'), test, one('b')], { i, k: null }))).toEqual([1, 2, 6]);
        expect(numberOf([one('a'), test, one('b')], { i: 1, k: 0 })).toBe(3);
    });

    it('are found from the path of a fault', () => {
        expect(atOf('steps.3.spec.of')).toEqual({ i: 3, k: null });
        expect(atOf('steps.1.spec.steps.2.title')).toEqual({ i: 1, k: 2 });
        expect(atOf('zone')).toBeNull();
    });
});

describe('values', () => {
    it('are put deep inside, and what is empty then goes', () => {
        const spec = put({}, 'reading.limit.min', 2);
        expect(spec).toEqual({ reading: { limit: { min: 2 } } });
        expect(got(spec, 'reading.limit.min')).toBe(2);
        expect(got(spec, 'acts.how')).toBeUndefined();
        expect(put(spec, 'reading.limit.min', undefined)).toEqual({});
        expect(put({ a: 1, b: { c: 2 } }, 'b.d', 'x')).toEqual({ a: 1, b: { c: 2, d: 'x' } });
    });

    it.each([
        ['2', 2],
        ['1,5', 1.5],
        ['-3.25', -3.25],
        ['', undefined],
        [' ', undefined],
        ['two', 'two'],
        ['1e3', '1e3'],
    ])('a number typed as "%s"', (typed, is) => {
        expect(number(typed)).toBe(is);
    });

    it('come from lines, and points from a CSV file too', () => {
        expect(lines('a\n\n b\n')).toEqual(['a', ' b']);
        expect(lines('\n')).toBeUndefined();
        expect(points('pulley 1\nn7, nose gear, left\n"n8";"tail"')).toEqual([
            { id: 'p1', place: 'pulley 1' },
            { id: 'n7', place: 'nose gear, left' },
            { id: 'n8', place: 'tail' },
        ]);
    });
});

describe('undo', () => {
    it('goes back change by change, with a run of typing as one, and forward until something else is written', () => {
        let h = begun('');
        h = written(h, 'a', false);
        h = written(h, 'ab', true);
        h = written(h, 'abc', true);
        h = written(h, 'abc!', false);
        expect(undone(h).now).toBe('abc');
        expect(undone(undone(h)).now).toBe('');
        expect(undone(undone(undone(h))).now).toBe('');
        expect(redone(undone(h)).now).toBe('abc!');
        expect(redone(h)).toBe(h);
        expect(redone(written(undone(h), 'x', false)).now).toBe('x');
    });
});
