/**
 * A listed item while it is edited: lists as lines, pairs as `name=number` lines, numbers as typed until it is sent.
 */
export type Draft = Record<
    (typeof texts)[number] | (typeof numbers)[number] | (typeof lists)[number] | (typeof pairs)[number],
    string
> & {
    withdrawn: boolean;
};

const texts = ['code', 'chapter', 'system', 'title', 'category', 'conditions', 'safe', 'crew', 'placard'] as const;
const numbers = ['installed', 'required', 'carry'] as const;
const lists = ['words', 'positions', 'channels', 'forbid', 'needs', 'closes'] as const;
const pairs = ['limits', 'restrict'] as const;

/** The item as it is edited, of the item as the file has it. */
export function draftOf(source: Record<string, unknown>): Draft {
    const out: Record<string, unknown> = { withdrawn: source.withdrawn === true };
    for (const f of [...texts, ...numbers]) {
        out[f] = String(source[f] ?? '');
    }
    for (const f of lists) {
        out[f] = ((source[f] as string[] | undefined) ?? []).join('\n');
    }
    for (const f of pairs) {
        out[f] = Object.entries((source[f] as Record<string, number> | undefined) ?? {})
            .map(([k, v]) => `${k}=${v}`)
            .join('\n');
    }
    return out as Draft;
}

/** What was typed, as a number where it is one; the server names what is not. */
const number = (text: string): unknown => {
    const plain = text.trim().replace(',', '.');
    return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : text;
};

const lines = (text: string): string[] =>
    text
        .split('\n')
        .map((l) => l.trim())
        .filter((l) => l !== '');

/** The item as the file has it: only what was filled in. */
export function itemOf(draft: Draft, source: Record<string, unknown> = {}): Record<string, unknown> {
    const out: Record<string, unknown> = {};
    for (const f of texts) {
        if (draft[f].trim() !== '') {
            out[f] = draft[f].trim();
        }
    }
    for (const f of numbers) {
        if (draft[f].trim() !== '') {
            out[f] = number(draft[f]);
        }
    }
    for (const f of lists) {
        if (lines(draft[f]).length > 0) {
            out[f] = lines(draft[f]);
        }
    }
    for (const f of pairs) {
        if (lines(draft[f]).length > 0) {
            out[f] = Object.fromEntries(
                lines(draft[f]).map((l) => {
                    const [name = '', value = ''] = l.split('=', 2);
                    return [name.trim(), number(value)];
                }),
            );
        }
    }
    if (source.size !== undefined) {
        out.size = source.size;
    }
    if (draft.withdrawn) {
        out.withdrawn = true;
    }
    // In the order of the item that it was, so that only what differs is shown as changed.
    return Object.fromEntries(
        [...new Set([...Object.keys(source), ...Object.keys(out)])].filter((k) => k in out).map((k) => [k, out[k]]),
    );
}
