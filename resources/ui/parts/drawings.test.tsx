import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Arc } from './Arc';
import { Caution } from './Page';
import { Reach } from './Reach';
import { Scale } from './Scale';
import { Glyph, State } from './State';

/** Numbers of one attribute in a drawing, in their order. */
const numbers = (svg: string, pattern: RegExp): number[] => [...svg.matchAll(pattern)].map((m) => Number(m[1]));

describe('the reach', () => {
    const row = (state: string, kind: string, days: number) => ({
        mark: 'QA-VFC',
        state,
        stop: { kind, title: 'Governor check', detail: '41 flight hours', date: '2026-05-14', days, item: '7' },
        visits: [{ id: 1, title: 'Phase', from: 30, to: 44 }],
        fuses: [{ id: 2, title: 'Boot', days: 60, date: '2026-07-04' }],
    });

    it.each([
        ['usage', 45, 500],
        ['calendar', 90, 1000],
        ['deferral', 9, 100],
        ['calendar', -4, 0],
        ['usage', 400, 1000],
    ])('by %s of %i days is drawn to its end', (kind, days, end) => {
        const svg = renderToStaticMarkup(<Reach row={row('watch', kind, days)} horizon={90} />);
        expect(numbers(svg, /<rect x="0" y="10" width="([\d.]+)"/g)).toEqual([end]);
    });

    it('tells its three textures apart without colour', () => {
        const fills = ['usage', 'calendar', 'deferral'].map(
            (kind) => renderToStaticMarkup(<Reach row={row('stop', kind, 20)} horizon={90} />).match(/y="10"[^>]*fill="([^"]+)"/)?.[1],
        );
        expect(new Set(fills).size).toBe(3);
    });

    it('puts the visit and the fuse where their days are, and leaves out what lies beyond', () => {
        const near = renderToStaticMarkup(<Reach row={row('clear', 'usage', 20)} horizon={90} />);
        expect(numbers(near, /<rect x="([\d.]+)" y="3"/g)[0]).toBeCloseTo((30 / 90) * 1000);
        expect(numbers(near, /<ellipse cx="([\d.]+)"/g)[0]).toBeCloseTo((60 / 90) * 1000);
        const short = renderToStaticMarkup(<Reach row={row('clear', 'usage', 20)} horizon={30} />);
        expect(short).not.toContain('<ellipse');
        expect(short).not.toContain('y="3"');
    });

    it('says in words what it draws', () => {
        expect(renderToStaticMarkup(<Reach row={row('stop', 'usage', 9)} horizon={90} />)).toContain(
            'QA-VFC can go until 2026-05-14: Governor check',
        );
        expect(renderToStaticMarkup(<Reach row={{ ...row('clear', 'usage', 9), stop: null }} horizon={90} />)).toContain(
            'nothing stops it',
        );
    });
});

describe('a scale', () => {
    it('draws the pointer inside the band exactly when the reading is', () => {
        for (const [value, inside] of [
            [18, true],
            [20, true],
            [22, true],
            [17.9, false],
            [22.1, false],
            [60, false],
        ] as const) {
            const svg = renderToStaticMarkup(<Scale limit={{ low: 18, high: 22 }} unit="N·m" value={value} />);
            const [x = 0] = numbers(svg, /<rect x="([\d.]+)"/g);
            const [width = 0] = numbers(svg, /width="([\d.]+)" height="48"/g);
            const tip = (numbers(svg, /<path d="M([\d.]+) 62/g)[0] ?? 0) + 10;
            expect(tip >= x - 1e-6 && tip <= x + width + 1e-6).toBe(inside);
        }
    });

    it('without a reading has no pointer, and leaves an open side open', () => {
        const svg = renderToStaticMarkup(<Scale limit={{ low: 40, high: null }} unit="bar" value={null} />);
        expect(svg).not.toContain('<path d="M');
        expect(svg).toContain('>40<');
    });
});

describe('an arc', () => {
    const needles = [
        { name: 'found', value: 19.5, look: 'found' as const },
        { name: 'after the turns', value: 22.2, look: 'predicted' as const },
    ];

    it('turns a needle clockwise as its angle grows, and dashes what is only predicted', () => {
        const svg = renderToStaticMarkup(<Arc title="Pick-up" unit="°" limit={{ low: 21, high: 24 }} needles={needles} />);
        const [found = 0, predicted = 0] = numbers(svg, /x1="150" y1="168" x2="([\d.]+)"/g);
        expect(found).toBeLessThan(150);
        expect(predicted).toBeGreaterThan(found);
        expect(svg.match(/stroke-dasharray/g)).toHaveLength(1);
    });

    it('gives every number beside the picture', () => {
        const svg = renderToStaticMarkup(<Arc title="Pick-up" unit="°" limit={{ low: 21, high: 24 }} needles={needles} />);
        for (const words of ['21 to 24 °', '19.5', '22.2', 'after the turns']) {
            expect(svg.replace(/<!-- -->/g, '')).toContain(words);
        }
    });
});

describe('the four states', () => {
    it('have four shapes, and each its word', () => {
        const states = ['clear', 'watch', 'stop', 'waiting'];
        const shapes = states.map((s) => renderToStaticMarkup(<Glyph state={s} />).replace(/class="[^"]*"/, ''));
        expect(new Set(shapes).size).toBe(4);
        for (const state of states) {
            expect(renderToStaticMarkup(<State state={state} />)).toContain(`>${state}<`);
        }
    });
});

describe('a caution', () => {
    it.each([
        ['warning', 'Warning'],
        ['caution', 'Caution'],
    ] as const)('of level %s is named so and is no state', (level, word) => {
        const html = renderToStaticMarkup(<Caution level={level}>Stay out of the arc.</Caution>);
        expect(html).toContain(`aria-label="${word}"`);
        expect(html).not.toMatch(/rust|ochre|spruce/);
    });
});
