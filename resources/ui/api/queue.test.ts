import { describe, expect, it } from 'vitest';
import { answered, mayWait, nextToSend, renewed, versionAfter, type Waiting } from './queue';

const one = (key: string, card: number, more: Partial<Waiting> = {}): Waiting => ({
    key,
    who: 2,
    card,
    number: `00${card}`,
    no: 3,
    title: 't',
    body: { version: 5, do: 'done' },
    at: `2026-05-05T12:00:0${key}`,
    refused: null,
    ...more,
});

describe('what waits on a device', () => {
    it('is sent in order, each once, and what is refused holds back its own card only', () => {
        const list = [one('1', 7), one('2', 7), one('3', 8)];
        expect(nextToSend(list, 2)?.key).toBe('1');
        expect(nextToSend(answered(list, '1', 'sent'), 2)?.key).toBe('2');
        expect(answered(list, '1', 'lost')).toEqual(list);
        const stuck = answered(list, '1', { refused: 'why' });
        expect(nextToSend(stuck, 2)?.key).toBe('3');
        expect(stuck).toHaveLength(3);
        expect(nextToSend(list, 9)).toBeUndefined();
    });

    it('counts the version on from what waits before it', () => {
        expect(versionAfter([], 7, 5)).toBe(5);
        expect(versionAfter([one('1', 7), one('2', 8), one('3', 7, { refused: 'x' })], 7, 5)).toBe(6);
    });

    it('goes again under new keys against the card as it is, with what was entered after it', () => {
        let n = 0;
        const again = renewed([one('1', 7, { refused: 'x' }), one('2', 8), one('3', 7)], '1', 9, () => `new${n++}`);
        expect(again.map((w) => [w.key, w.body.version, w.refused])).toEqual([
            ['new0', 9, null],
            ['2', 5, null],
            ['new1', 10, null],
        ]);
        expect(renewed([one('1', 7)], 'none', 9, () => 'x')[0]?.key).toBe('1');
    });

    it('leaves to the connection whatever moves a system, is timed, called or signed', () => {
        const step = (kind: string, acts: string | null = null) => ({ kind, acts });
        expect([mayWait(step('instruction'), 'done'), mayWait(step('torque'), 'read'), mayWait(step('part'), 'fit')]).toEqual([
            true,
            true,
            true,
        ]);
        expect([
            mayWait(step('instruction', 'moves flaps'), 'done'),
            mayWait(step('count', 'moves landing gear'), 'count'),
            mayWait(step('hold'), 'done'),
            mayWait(step('test'), 'read'),
            mayWait(step('rollcall'), 'call'),
            mayWait(step('instruction'), 'reopen'),
        ]).toEqual([false, false, false, false, false, false]);
    });
});
