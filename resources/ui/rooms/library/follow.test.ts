import { describe, expect, it } from 'vitest';
import { bodyOf, draftOf, noRule, noThen, type RuleDraft } from './follow';

const rule: RuleDraft = {
    ...noRule,
    code: ' SKV-F-SEAL ',
    title: 'A cut seal',
    source: 'AM-SKV 20-10',
    chapters: '29, 32-40',
    words: ['seal, gasket', 'cut', ' '],
    opens: [
        { ...noThen, text: 'Its seat', choices: 'not, mine' },
        { ...noThen, kind: 'question', text: 'Used?', choices: 'used, not used ,' },
        { ...noThen, kind: 'card', text: 'Inspect', card: 'SKV-61-90 Inspection after overspeed' },
        { ...noThen, kind: 'suspect', text: 'Brakes', chapter: ' 32 ' },
    ],
};

describe('a rule of what follows', () => {
    it('is sent with what its kind has, and nothing else', () => {
        expect(bodyOf(rule)).toEqual({
            code: 'SKV-F-SEAL',
            title: 'A cut seal',
            source: 'AM-SKV 20-10',
            found: { chapters: ['29', '32-40'], words: [['seal', 'gasket'], ['cut']] },
            // biome-ignore lint/suspicious/noThenProperty: the word of the schema; nothing awaits it
            then: [
                { kind: 'look', text: 'Its seat' },
                { kind: 'question', text: 'Used?', choices: ['used', 'not used'] },
                { kind: 'card', text: 'Inspect', card: 'SKV-61-90' },
                { kind: 'suspect', text: 'Brakes', chapter: '32' },
            ],
        });
    });

    it('of a limit has numbers where they are some, and what was typed where they are none', () => {
        const body = bodyOf({
            ...rule,
            of: 'exceeded',
            quantity: 'propeller speed',
            chapter: '61',
            limit: '101,5',
            positions: 'engine 1, engine 2',
            rows: [
                { beyond: '0', seconds: '0', title: 'recorded', severity: '', opens: rule.opens },
                { beyond: 'much', seconds: '5', title: 'inspected', severity: 'major', opens: rule.opens.slice(2, 3) },
            ],
        }) as { exceeded: { limit: unknown; rows: Record<string, unknown>[] }; found?: unknown };
        expect(body.found).toBeUndefined();
        expect(body.exceeded.limit).toBe(101.5);
        expect(body.exceeded.rows[0]).toEqual({ beyond: 0, seconds: 0, title: 'recorded' });
        expect(body.exceeded.rows[1]).toMatchObject({ beyond: 'much', seconds: 5, severity: 'major' });
    });

    it('comes back as it was written', () => {
        for (const of of ['found', 'exceeded'] as const) {
            const body = bodyOf({ ...rule, of, limit: '101', rows: noRule.rows });
            expect(bodyOf(draftOf(body))).toEqual(body);
        }
    });
});
