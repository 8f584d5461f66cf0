import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { angle, arc, away, type Drawing, joint, type Part, slope, tip } from './linkage';

const lever: Part = { kind: 'lever', id: 'arm', at: [100, 100], length: 50, zero: 90, sense: -1, point: 'p' };
const drawing: Drawing = { width: 200, height: 200, parts: [lever] };
const near = (spot: number[], to: number[]) =>
    spot.forEach((v, i) => {
        expect(v).toBeCloseTo(to[i] ?? Number.NaN, 6);
    });

describe('a linkage is drawn from its readings', () => {
    it('turns a lever by its reading, the way that it is read', () => {
        expect([angle(lever, 0), angle(lever, 90), angle({ ...lever, sense: 1, scale: 2 }, 10)]).toEqual([90, 0, 110]);
        near(tip(lever, 0), [100, 50]);
        near(tip(lever, 90), [150, 100]);
        near(tip(lever, undefined), [100, 100]);
    });
    it('joins a rod to the tip of its lever, or to a fixed spot', () => {
        near(joint(drawing, 'arm', { p: 90 }), [150, 100]);
        near(joint(drawing, [7, 8], {}), [7, 8]);
        near(joint(drawing, 'none', {}), [0, 0]);
    });
    it('stands on the screen as it does on paper', () => {
        const sheet = JSON.parse(readFileSync('core/tests/Bench/Rigging/linkage.json', 'utf8'));
        for (const name of ['arm', 'cam']) {
            near(joint(sheet.drawing, name, sheet.read), sheet.ends[name]);
        }
    });
    it('draws an arc from the lower to the higher direction, the long way round where it is long', () => {
        near(away([0, 0], 10, 90), [0, -10]);
        expect(arc([0, 0], 10, 90, 0)).toBe(arc([0, 0], 10, 0, 90));
        expect(arc([0, 0], 10, 0, 200)).toContain(' 0 1 0 ');
    });
    it('keeps words along a rod upright', () => {
        expect(slope([0, 0], [10, 10])).toBeCloseTo(45);
        expect(slope([10, 10], [0, 0])).toBeCloseTo(45);
        expect(slope([0, 10], [0, 0])).toBeCloseTo(-90);
    });
});
