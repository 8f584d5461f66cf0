import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { BoardDrawing } from './BoardDrawing';
import { BAND, CROWD, clipped, dayLabel, dropped, fits, GAP, LANE, NOBODY, outline, rows, steps } from './board';

const card = (over: Partial<Schemas['BoardCard']>): Schemas['BoardCard'] => ({
    id: 1,
    number: '001-01',
    title: 'Look at the keel',
    stage: 'look',
    state: 'open',
    zone: 'keel',
    from: 4,
    to: 12,
    lane: 0,
    onChain: false,
    late: false,
    when: 'Tue 5 May 08:00 to 12:00',
    people: '1 airframe, 4 h',
    skills: ['airframe'],
    crew: [],
    slack: 'can slip 2 h',
    pinned: null,
    configuration: [],
    lacks: [],
    waitsFor: [],
    ...over,
});

const board = (cards: Schemas['BoardCard'][], over: Partial<Schemas['BoardView']> = {}): Schemas['BoardView'] => ({
    id: 1,
    mark: 'QA-VFA',
    type: 'SKV',
    title: 'Block check',
    bay: 'bay 1',
    state: 'in_work',
    sentence: 'It leaves.',
    verdict: 'clear',
    version: 3,
    slots: 64,
    now: 10.5,
    exit: { at: 40, words: 'leaves Wed 6 May 12:00' },
    mustLeave: { at: 62, words: 'must leave Thursday 7 May' },
    problem: null,
    note: '',
    days: [
        { from: 0, to: 32, date: '2026-05-05', words: 'Tue 5 May' },
        { from: 32, to: 64, date: '2026-05-06', words: 'Wed 6 May' },
    ],
    bands: [{ key: 'power-on', title: 'powered', spans: [{ from: 8, to: 20 }] }],
    zones: [{ name: 'keel', lanes: 1 + Math.max(0, ...cards.map((c) => c.lane)), cards }],
    people: [{ skill: 'airframe', most: 4, spans: [{ from: 0, to: 64, used: 2, there: 4 }] }],
    shortages: [],
    moved: [],
    effect: null,
    sooner: 0,
    run: null,
    ...over,
});

const draw = (b: Schemas['BoardView'], wide = 10, moved: number[] = [], chosen: number | null = null) =>
    renderToStaticMarkup(
        <BoardDrawing
            board={b}
            wide={wide}
            chosen={chosen}
            dimmed={new Set()}
            moved={new Set(moved)}
            may={true}
            onChoose={() => {}}
            onDrop={() => {}}
        />,
    );

describe('places on the board', () => {
    it('zones lie one beneath another, as tall as their lanes', () => {
        const zones = [1, 3, 2].map((lanes, i) => ({ name: `z${i}`, lanes, cards: [] }));
        const laid = rows(zones);
        expect(laid.rows.map((r) => r.top)).toEqual([0, LANE + 3 * GAP, 4 * (LANE + GAP) + 4 * GAP]);
        expect(laid.height).toBe(6 * (LANE + GAP) + 6 * GAP);
        expect(rows([])).toEqual({ rows: [], height: 0 });
    });

    it.each([
        [false, 'M5 10H105V34H5Z'],
        [true, 'M5 10H97L105 22L97 34H5Z'],
    ])('a card that decides the exit is pointed: %s', (pointed, path) => {
        expect(outline(5, 10, 100, 24, pointed)).toBe(path);
    });

    it('people are drawn as steps up to the most there are', () => {
        const spans = [
            { from: 0, to: 8, used: 1, there: 2 },
            { from: 8, to: 12, used: 4, there: 4 },
        ];
        expect(steps(spans, 'used', 4, 2, 40)).toBe('M0 40H0V30H16H16V0H24V40Z');
        expect(steps(spans, 'there', 4, 2, 40)).toBe('M0 40H0V20H16H16V0H24V40Z');
        expect(steps([], 'used', 4, 2, 40)).toBe('');
    });

    it.each([
        [10, 25, 10, 13],
        [10, -240, 10, 0],
        [10.4, 0, 3, 10],
        [0, 7, 3, 2],
    ])('dropped from slot %d by %d pixels at %d a slot is slot %d', (from, pixels, wide, slot) => {
        expect(dropped(from, pixels, wide)).toBe(slot);
    });

    it.each([
        ['Look', 200, 'Look'],
        ['Look at the keel', 60, 'Look at…'],
        ['Look', 20, ''],
    ])('"%s" in %d pixels reads "%s"', (text, pixels, shown) => {
        expect(clipped(text, pixels)).toBe(shown);
    });
});

describe('a day on the board', () => {
    it.each([
        ['Wed 29 Apr', 90, true, 'Wed 29 Apr'],
        ['Wed 29 Apr', 48, true, '29 Apr'],
        ['Thu 30 Apr', 48, false, '30'],
        ['Fri 1 May', 48, false, '1 May'],
    ])('%s in %d pixels', (words, width, first, shown) => {
        expect(dayLabel(words, width, first)).toBe(shown);
    });
});

describe('what is looked for', () => {
    it.each([
        [{ skill: 'airframe', person: '', state: '' }, true],
        [{ skill: 'engine', person: '', state: '' }, false],
        [{ skill: '', person: 'Oda Lind', state: 'open' }, true],
        [{ skill: '', person: NOBODY, state: '' }, false],
        [{ skill: '', person: '', state: 'closed' }, false],
    ])('%o', (asked, found) => {
        expect(fits(card({ crew: ['Oda Lind'] }), asked)).toBe(found);
    });

    it('a card too narrow for its words says its number', () => {
        expect(draw(board([card({ to: 5.5 })]))).toMatch(/rotate\(-90[^>]*>01</);
    });
});

describe('the drawing', () => {
    it('sets each card at its slots, in its lane, whole in its words for a reader', () => {
        const svg = draw(board([card({}), card({ id: 2, number: '001-02', from: 6, to: 20, lane: 1 })]));
        const head = 22 + BAND + 6 + CROWD;
        expect(svg).toContain(`d="M40 ${head + GAP}H${40 + 78.5}V${head + GAP + LANE}H40Z"`);
        expect(svg).toContain(`d="M60 ${head + GAP + LANE + GAP}H${60 + 138.5}V`);
        expect(svg).toContain('001-01 Look at the keel\nTue 5 May 08:00 to 12:00\n1 airframe, 4 h\ncan slip 2 h');
        expect(svg.match(/data-board-card/g)).toHaveLength(2);
    });

    it('tells by shape what is worked, in work, decisive, late or lacking', () => {
        const notch = /h10v3.5h-4v3h4v3.5h-10Z/g;
        expect(draw(board([card({})])).match(notch)).toBeNull();
        expect(draw(board([card({ lacks: ['no gauge'] })])).match(notch)).toHaveLength(1);
        expect(draw(board([card({ late: true })]))).toContain('fill-rust');
        expect(draw(board([card({ state: 'in_work' })]))).toContain('class="fill-spruce"');
        expect(draw(board([card({ state: 'closed' })]))).toContain('fill-shade stroke-soft');
        expect(draw(board([card({ onChain: true })]))).toMatch(/L118\.5 \d+L110\.5/);
        expect(draw(board([card({})]), 10, [1])).toContain('stroke-ochre');
        expect(draw(board([card({})]), 10, [], 1)).toContain('aria-pressed="true"');
    });

    it('draws the configuration behind, now across, and both ends of the visit', () => {
        const svg = draw(board([card({})]));
        expect(svg).toContain('id="band-power-on"');
        expect(svg.match(/url\(#band-power-on\)/g)).toHaveLength(2);
        expect(svg).toContain('x1="105" x2="105"');
        expect(svg).toContain('leaves Wed 6 May 12:00');
        expect(svg).toContain('must leave Thursday 7 May');
        expect(draw(board([card({})], { now: null, exit: null }))).not.toContain('x1="105" x2="105"');
        expect(svg).toContain('Wed 6 May');
    });
});
