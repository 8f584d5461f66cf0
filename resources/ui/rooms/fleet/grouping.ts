import type { Schemas } from '../../api/client';

export type Grouping = 'stop' | 'fleet' | 'base' | 'type';

export const groupings: readonly { value: Grouping; name: string }[] = [
    { value: 'stop', name: 'First to stop' },
    { value: 'fleet', name: 'By fleet' },
    { value: 'base', name: 'By base' },
    { value: 'type', name: 'By type' },
];

/** A line of the list: an aircraft, or the head of a group. */
export type Line = { key: string; title: string; note: string; row: Schemas['ReachRow'] | null };

/** The rows in the server's order, under a head for each group where they are grouped. */
export function linesOf(rows: Schemas['ReachRow'][], by: Grouping): Line[] {
    const line = (row: Schemas['ReachRow']): Line => ({ key: row.mark, title: row.mark, note: '', row });
    if (by === 'stop') {
        return rows.map(line);
    }
    const groups = new Map<string, Schemas['ReachRow'][]>();
    for (const row of rows) {
        groups.set(row[by], [...(groups.get(row[by]) ?? []), row]);
    }
    return [...groups].flatMap(([title, of]) => [
        { key: `group:${title}`, title, note: of.length === 1 ? 'one aircraft' : `${of.length} aircraft`, row: null },
        ...of.map(line),
    ]);
}
