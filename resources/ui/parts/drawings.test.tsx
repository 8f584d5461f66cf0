import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Arc } from './Arc';
import { onView, path } from './Drawing';
import { Months } from './Months';
import { Caution } from './Page';
import { Reach } from './Reach';
import { Scale } from './Scale';
import { StaggerLine } from './StaggerLine';
import { Glyph, State } from './State';
import { Trend } from './Trend';

/** Numbers of one attribute in a drawing, in their order. */
const numbers = (svg: string, pattern: RegExp): number[] => [...svg.matchAll(pattern)].map((m) => Number(m[1]));

describe('the reach', () => {
    const row = (state: string, kind: string, days: number) => ({
        mark: 'QA-VFC',
        state,
        stop: { kind, title: 'Governor check', detail: '41 flight hours', date: '2026-05-14', days, item: '7' },
        visits: [{ id: 1, title: 'Phase', from: 30, to: 44, begun: false, doubt: null }],
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
            (kind) =>
                renderToStaticMarkup(<Reach row={row('stop', kind, 20)} horizon={90} />).match(
                    /y="10"[^>]*fill="([^"]+)"/,
                )?.[1],
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
            'QA-VFC can go until 14 May: Governor check',
        );
        expect(
            renderToStaticMarkup(<Reach row={{ ...row('clear', 'usage', 9), stop: null }} horizon={90} />),
        ).toContain('nothing stops it');
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
        const svg = renderToStaticMarkup(
            <Arc title="Pick-up" unit="°" limit={{ low: 21, high: 24 }} needles={needles} />,
        );
        const [found = 0, predicted = 0] = numbers(svg, /x1="150" y1="168" x2="([\d.]+)"/g);
        expect(found).toBeLessThan(150);
        expect(predicted).toBeGreaterThan(found);
        expect(svg.match(/stroke-dasharray/g)).toHaveLength(1);
    });

    it('gives every number beside the picture', () => {
        const svg = renderToStaticMarkup(
            <Arc title="Pick-up" unit="°" limit={{ low: 21, high: 24 }} needles={needles} />,
        );
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

describe('a phased fleet against its line', () => {
    const craft = (mark: string, left: number, target: number) => ({
        mark,
        next: 'Phase A',
        left,
        target,
        distance: left - target,
        date: null,
        hours: [],
        weekNotes: [],
        unplanned: null,
        total: 0,
        planned: 0,
        advice: '',
        endLeft: left,
        endTarget: target,
        state: Math.abs(left - target) > 10 ? 'watch' : 'clear',
    });
    const fleet = (rows: ReturnType<typeof craft>[]) => ({
        fleet: 'coast',
        name: 'Coast',
        type: 'TRK',
        interval: 120,
        sentence: '',
        spread: 0,
        endSpread: 0,
        tasks: [],
        short: [],
        weeks: [],
        rows,
    });
    /** Where each aircraft's drop begins and ends. */
    const drops = (svg: string): [number, number][] =>
        [...svg.matchAll(/y1="([\d.]+)" y2="([\d.]+)" stroke="currentColor"/g)].map((m) => [
            Number(m[1]),
            Number(m[2]),
        ]);

    it('draws a drop from where it is to where the line is, upwards when it has too few hours left', () => {
        const svg = renderToStaticMarkup(
            <StaggerLine fleet={fleet([craft('a', 100, 100), craft('b', 90, 60), craft('c', 5, 20)])} />,
        );
        const [a, b, c] = drops(svg) as [[number, number], [number, number], [number, number]];
        expect(a[0]).toBeCloseTo(a[1]);
        expect(b[0]).toBeLessThan(b[1]);
        expect(c[0]).toBeGreaterThan(c[1]);
        expect(b[1] - b[0]).toBeCloseTo(2 * (c[0] - c[1]));
    });

    it('puts every aircraft that is on the line onto its stroke', () => {
        const n = 5;
        const rows = Array.from({ length: n }, (_, r) =>
            craft(`q${r}`, (120 * (n - r - 0.5)) / n, (120 * (n - r - 0.5)) / n),
        );
        const svg = renderToStaticMarkup(<StaggerLine fleet={fleet(rows)} />);
        const [x1, x2, y1, y2] = (
            svg.match(/<line x1="([\d.]+)" x2="([\d.]+)" y1="([\d.]+)" y2="([\d.]+)" class="stroke-ink"/) ?? []
        )
            .slice(1)
            .map(Number) as [number, number, number, number];
        const circles = [...svg.matchAll(/<circle cx="([\d.]+)" cy="([\d.]+)"/g)].map(
            (m) => [Number(m[1]), Number(m[2])] as const,
        );
        expect(circles).toHaveLength(n);
        for (const [x, y] of circles) {
            expect(y).toBeCloseTo(y1 + ((x - x1) / (x2 - x1)) * (y2 - y1), 6);
        }
    });

    it('tells who is off it by shape, and has room for more than a full interval', () => {
        const svg = renderToStaticMarkup(<StaggerLine fleet={fleet([craft('over', 150, 90), craft('on', 30, 30)])} />);
        expect(svg.match(/<circle/g)).toHaveLength(1);
        expect(drops(svg).every(([from, to]) => from >= 0 && to >= 0)).toBe(true);
    });
});

describe('a trend', () => {
    const bottle = (date: string | null, minimum = 90) => ({
        component: 1,
        name: 'Bottle B1',
        partNo: 'JV-1',
        mark: 'QA-VFE',
        position: 'crew oxygen',
        unit: 'bar',
        minimum,
        reference: 21,
        state: 'watch',
        said: '',
        date,
        days: date === null ? null : 20,
        latest: 96,
        slope: -0.3,
        expected: null,
        leak: null,
        points: [
            { date: '2026-04-05', day: -30, pressure: 105 },
            { date: '2026-04-20', day: -15, pressure: 100.4 },
            { date: '2026-05-05', day: 0, pressure: 96.1 },
        ],
        line: [
            { day: -30, pressure: 105 },
            { day: 20, pressure: minimum },
        ],
        readings: [],
    });

    it('meets the minimum where the line ends, to the right of today', () => {
        const svg = renderToStaticMarkup(<Trend bottle={bottle('2026-05-25')} />);
        const line = svg.match(/<line x1="[\d.]+" y1="[\d.]+" x2="([\d.]+)" y2="([\d.]+)" class="stroke-ink"/) ?? [];
        const minimum = Number(svg.match(/y1="([\d.]+)" y2="[\d.]+" class="stroke-rust"/)?.[1]);
        const today = Number(svg.match(/<line x1="([\d.]+)" x2="[\d.]+" y1="14"/)?.[1]);
        expect(Number(line[2])).toBeCloseTo(minimum);
        expect(Number(line[1])).toBeGreaterThan(today);
        expect(svg).toContain('minimum 90 bar');
        expect(svg).toContain('25 May');
    });

    it('draws each reading higher the more it shows, and no date where it does not fall', () => {
        const svg = renderToStaticMarkup(<Trend bottle={bottle(null)} />);
        const heights = numbers(svg, /<circle cx="[\d.]+" cy="([\d.]+)"/g);
        expect(heights).toHaveLength(3);
        expect([...heights].sort((a, b) => a - b)).toEqual(heights);
        expect(svg).not.toContain('25 May');
        expect(renderToStaticMarkup(<Trend bottle={{ ...bottle(null), line: [] }} />)).toBe('');
    });
});

describe('the months flown', () => {
    it('are as high as their hours, beside the planned mean', () => {
        const months = [120, 60, 0].map((fh, i) => ({
            month: `2026-0${i + 1}`,
            days: fh > 0 ? 20 : 0,
            flown: { fh, ldg: 1 },
        }));
        const svg = renderToStaticMarkup(<Months months={months} mean={2} />);
        const [a, b, c] = numbers(svg, /height="([\d.]+)"/g) as [number, number, number];
        expect(a / b).toBeCloseTo(2);
        expect(c).toBe(0);
        const planned = Number(svg.match(/y1="([\d.]+)" y2="[\d.]+" class="stroke-ink"/)?.[1]);
        expect(120 - planned).toBeCloseTo(b * (60.8 / 60), 1);
        expect(renderToStaticMarkup(<Months months={[]} mean={2} />)).toContain('Nothing was flown yet');
    });
});

describe('an aircraft in three views', () => {
    it('puts a place where it is: the right side is up from above, and on the left from the front', () => {
        const right = { x: 5, y: 2, z: 1 };
        expect(onView('side', right)).toEqual([5, -1]);
        expect(onView('top', right)).toEqual([5, -2]);
        expect(onView('front', right)).toEqual([-2, -1]);
    });

    it('draws a smooth line through its points, and closes it where it is closed', () => {
        const p: [number, number][] = [
            [0, 0],
            [2, 0],
            [2, 2],
        ];
        expect(path({ p, c: 0, s: 0 })).toBe('M0 0L2 0L2 2');
        expect(path({ p, c: 1, s: 0 })).toBe('M0 0L2 0L2 2L0 0Z');
        expect(path({ p, c: 1, s: 1 }).match(/C/g)).toHaveLength(3);
        expect(path({ p, c: 0, s: 1 }).endsWith('2 2')).toBe(true);
    });
});
