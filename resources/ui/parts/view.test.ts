import { describe, expect, it } from 'vitest';
import { plus, short } from './dates';
import { fitted, ready } from './photo';
import { reachTicks } from './Reach';
import { band, domain, drawn, place, ticks } from './scale';
import { csv } from './Table';

describe('a photo', () => {
    it.each([
        [6000, 4000, 3000, 2000],
        [4000, 6000, 2000, 3000],
        [3000, 3000, 3000, 3000],
        [640, 480, 640, 480],
        [9000, 1, 3000, 1],
    ])('of %i by %i is drawn at %i by %i', (width, height, w, h) => {
        expect(fitted(width, height)).toEqual([w, h]);
    });

    it('that is small, is no picture, or cannot be read is sent as it was', async () => {
        const file = (bytes: number, type: string) => new File([new Uint8Array(bytes)], 'a.png', { type });
        for (const as of [file(2_000_000, 'image/png'), file(3_000_000, 'text/plain'), file(3_000_000, 'image/png')]) {
            expect(await ready(as)).toBe(as);
        }
    });
});

describe('a scale', () => {
    it.each([
        [{ kind: 'range', unit: 'Nm', min: 18, max: 22 }, 18, 22],
        [{ kind: 'nominal', unit: 'Nm', nominal: 20, plus: 1.5, minus: 1 }, 19, 21.5],
        [{ kind: 'min', unit: 'bar', min: 40 }, 40, null],
        [{ kind: 'max', unit: 'bar', max: 3 }, null, 3],
    ] as const)('draws the band of %o', (limit, low, high) => {
        expect(band(limit)).toEqual({ low, high });
    });

    it('has room for the band and for every value on it', () => {
        for (const [low, high, value] of [
            [18, 22, 5],
            [18, 22, 60],
            [40, null, 12],
            [null, 3, 3.1],
            [0, 0, 0],
        ] as [number | null, number | null, number][]) {
            const ends = domain({ low, high }, [value]);
            for (const v of [low, high, value]) {
                if (v !== null) {
                    expect(place(v, ends)).toBeGreaterThanOrEqual(0);
                    expect(place(v, ends)).toBeLessThanOrEqual(1);
                }
            }
            const marks = ticks(ends);
            expect(marks.length).toBeGreaterThan(2);
            expect(marks.every((t) => t >= ends[0] - 1e-9 && t <= ends[1] + 1e-9)).toBe(true);
        }
    });

    it.each([
        ['8,1', 8.1],
        ['8.1 Nm', 8.1],
        ['-3', -3],
        ['', null],
        ['x', null],
    ])('places what was typed, %s', (text, value) => {
        expect(drawn(text)).toBe(value);
    });
});

describe('dates', () => {
    it('are short, with the year only when it is another one', () => {
        expect([short('2026-05-14', '2026-05-05'), short('2027-01-02', '2026-05-05'), short(null)]).toEqual([
            '14 May',
            '2 Jan 2027',
            '—',
        ]);
    });

    it('count on over months and years', () => {
        expect([plus('2026-02-27', 2), plus('2026-12-31', 1), plus('2026-05-05', -5)]).toEqual([
            '2026-03-01',
            '2027-01-01',
            '2026-04-30',
        ]);
    });

    it.each([30, 90, 365])('stand about seven times over %i days', (horizon) => {
        const marks = reachTicks(horizon);
        expect(marks.length).toBeGreaterThan(4);
        expect(marks.length).toBeLessThan(8);
        expect(Math.max(...marks)).toBeLessThanOrEqual(horizon);
    });
});

describe('CSV', () => {
    it('quotes only what must be, and ends every line as RFC 4180 wants', () => {
        expect(
            csv(
                ['a', 'b, c'],
                [
                    ['x"y', null],
                    [1.5, 'two\nlines'],
                ],
            ),
        ).toBe('a,"b, c"\r\n"x""y",\r\n1.5,"two\nlines"\r\n');
    });
});
