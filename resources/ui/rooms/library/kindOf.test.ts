import { describe, expect, it } from 'vitest';
import { kindOf } from './kindOf';

describe('the kind of a file', () => {
    it.each([
        ['p.json', '{"type":"SKV","items":[{"code":"05-21","cards":["SKV-05-21-N"]}]}', 'programme'],
        ['c.json', '{"type":"SKV","cards":[{"code":"SKV-A"}]}', 'cards'],
        ['r.JSON', '{"type":"SKV","rules":[]}', 'follows'],
        ['m.json', '{"manual":"AM","passages":[],"methods":[]}', 'revision'],
        ['broken.json', '{"type":"SKV","items":[{"cards":[', 'programme'],
        ['broken.json', '{"type":"SKV","cards":[', 'cards'],
        ['list.json', '[1]', 'programme'],
        ['l.json', '{"type":"SKV","revision":7,"issued":"2026-05-05","items":[]}', 'listed'],
        ['l.csv', 'type,revision,issued,summary,code,placard', 'listed-csv'],
        ['p.csv', 'type,code,unit,interval\nSKV,A,fh,300', 'programme-csv'],
        ['s.csv', 'mark,date,number,from,to,fh,ldg\n', 'sectors'],
        ['f.csv', 'mark,date,fh,ldg', 'flying'],
    ])('%s with %s is %s', (name, text, kind) => {
        expect(kindOf(name, text)).toBe(kind);
    });
});
