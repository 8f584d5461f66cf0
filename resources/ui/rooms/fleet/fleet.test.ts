import { describe, expect, it } from 'vitest';
import type { Schemas } from '../../api/client';
import { type Grouping, linesOf } from './grouping';

const row = (mark: string, fleet: string, base: string): Schemas['ReachRow'] => ({
    mark,
    type: mark.slice(0, 2),
    fleet,
    base,
    state: 'clear',
    stop: null,
    visits: [],
    fuses: [],
});
const rows = [
    row('QA-1', 'Freight', 'North'),
    row('QC-2', 'Charter', 'South'),
    row('QA-3', 'Freight', 'South'),
    row('QA-4', 'Freight', 'North'),
];

describe('the fleet in groups', () => {
    it('is the server’s order when it is not grouped', () => {
        expect(linesOf(rows, 'stop').map((l) => l.key)).toEqual(['QA-1', 'QC-2', 'QA-3', 'QA-4']);
        expect(linesOf([], 'fleet')).toEqual([]);
    });

    it.each([
        ['fleet', ['group:Freight', 'QA-1', 'QA-3', 'QA-4', 'group:Charter', 'QC-2'], ['3 aircraft', 'one aircraft']],
        ['base', ['group:North', 'QA-1', 'QA-4', 'group:South', 'QC-2', 'QA-3'], ['2 aircraft', '2 aircraft']],
        ['type', ['group:QA', 'QA-1', 'QA-3', 'QA-4', 'group:QC', 'QC-2'], ['3 aircraft', 'one aircraft']],
    ] as [Grouping, string[], string[]][])(
        'by %s keeps that order within each group, and heads it',
        (by, keys, notes) => {
            const lines = linesOf(rows, by);
            expect(lines.map((l) => l.key)).toEqual(keys);
            expect(lines.filter((l) => l.row === null).map((l) => l.note)).toEqual(notes);
            expect(lines.filter((l) => l.row !== null)).toHaveLength(rows.length);
        },
    );
});
