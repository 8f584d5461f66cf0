import { describe, expect, it } from 'vitest';
import {
    answered,
    entered,
    mayWait,
    named,
    nextToSend,
    renewed,
    versionAfter,
    type Waiting,
    type WaitingStep,
} from './queue';

const one = (key: string, card: number, more: Partial<WaitingStep> = {}): WaitingStep => ({
    what: 'step',
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
        expect(again.map((w) => [w.key, w.what === 'step' ? w.body.version : null, w.refused])).toEqual([
            ['new0', 9, null],
            ['2', 5, null],
            ['new1', 10, null],
        ]);
        expect(renewed([one('1', 7)], 'none', 9, () => 'x')[0]?.key).toBe('1');
    });

    it('keeps a finding under its key, which counts no version, and says what each was', () => {
        const finding: Waiting = {
            ...one('2', 7),
            what: 'finding',
            body: { place: 'left wing', extent: '3 mm', severity: 'minor' },
            photo: true,
            refused: 'too big',
        };
        const over: Waiting = { ...one('3', 7), what: 'handover', body: { version: 6, said: 'stiff' } };
        const list = [
            one('1', 7, { body: { version: 5, do: 'read', entry: '25', entries: { seat: 'no', batch: 'B1' } } }),
            finding,
            over,
        ];
        expect(versionAfter(list, 7, 5)).toBe(7);
        const again = renewed(list, '2', 9, () => 'new');
        expect(again.map((w) => [w.key, w.refused, w.body && 'version' in w.body ? w.body.version : null])).toEqual([
            ['1', null, 5],
            ['2', null, null],
            ['new', null, 9],
        ]);
        expect(list.map(named)).toEqual(['007 step 3', 'a finding on 007', 'the hand-over of 007']);
        expect(list.map(entered)).toEqual(['25, B1', 'left wing: 3 mm', 'stiff']);
    });

    it('keeps a damage and a look at one, which count no version either', () => {
        const body = {
            kind: 'dent' as const,
            place: 'left wing, rib 4',
            spot: { view: 'top' as const, x: 1, y: 2 },
            length: 8,
        };
        const damage: Waiting = { ...one('1', 7), what: 'damage', body: { ...body, limits: {}, source: '' } };
        const same: Waiting = { ...one('2', 7), what: 'look', damage: 4, name: 'D0004', body: null };
        const grown: Waiting = { ...same, key: '3', body: { length: 12 }, refused: 'it is repaired' };
        const list = [damage, same, grown];
        expect(versionAfter(list, 7, 5)).toBe(5);
        expect(renewed(list, '3', 9, () => 'new').map((w) => [w.key, w.refused])).toEqual([
            ['1', null],
            ['2', null],
            ['3', null],
        ]);
        expect(list.map(named)).toEqual(['a damage on 007', 'a look at D0004', 'a look at D0004']);
        expect(list.map(entered)).toEqual(['dent, left wing, rib 4, 8 mm', 'as it was', '12 mm']);
    });

    it('leaves to the connection whatever moves a system, is timed, called or signed', () => {
        const step = (kind: string, acts: string | null = null) => ({ kind, acts });
        expect([
            mayWait(step('instruction'), 'done'),
            mayWait(step('torque'), 'read'),
            mayWait(step('part'), 'fit'),
        ]).toEqual([true, true, true]);
        expect([
            mayWait(step('instruction', 'moves flaps'), 'done'),
            mayWait(step('count', 'moves landing gear'), 'count'),
            mayWait(step('hold'), 'done'),
            mayWait(step('test'), 'read'),
            mayWait(step('rollcall'), 'call'),
            mayWait(step('instruction'), 'take_back'),
            mayWait(step('safing_fit'), 'done'),
        ]).toEqual([false, false, false, false, false, false, false]);
        expect(mayWait(step('safing_remove'), 'done')).toBe(true);
    });
});
