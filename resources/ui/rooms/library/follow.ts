/** A rule of what follows while it is written: every field a text, as it is typed. */
export type ThenDraft = { kind: string; text: string; choices: string; card: string; chapter: string };
export type RowDraft = { beyond: string; seconds: string; title: string; severity: string; opens: ThenDraft[] };
export type RuleDraft = {
    of: 'found' | 'exceeded';
    code: string;
    title: string;
    source: string;
    chapters: string;
    words: string[];
    quantity: string;
    chapter: string;
    unit: string;
    side: string;
    limit: string;
    positions: string;
    rows: RowDraft[];
    opens: ThenDraft[];
};

type Body = Record<string, unknown>;

/** The word of the schema for what a rule opens. */
const THEN = 'then';

export const noThen: ThenDraft = { kind: 'look', text: '', choices: '', card: '', chapter: '' };
export const noRow: RowDraft = { beyond: '0', seconds: '0', title: '', severity: '', opens: [] };
export const noRule: RuleDraft = {
    of: 'found',
    code: '',
    title: '',
    source: '',
    chapters: '',
    words: [''],
    quantity: '',
    chapter: '',
    unit: '%',
    side: 'over',
    limit: '',
    positions: '',
    rows: [noRow],
    opens: [noThen],
};

const list = (text: string): string[] =>
    text
        .split(',')
        .map((t) => t.trim())
        .filter((t) => t !== '');
/** A number as typed; what is none stays as it was typed, so that the server names it. */
const number = (text: string): unknown =>
    /^-?\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.replace(',', '.')) : text;
const then = (t: ThenDraft): Body => ({
    kind: t.kind,
    text: t.text.trim(),
    ...(t.kind === 'question' && list(t.choices).length > 0 ? { choices: list(t.choices) } : {}),
    ...(t.kind === 'card' ? { card: t.card.trim().split(' ')[0] } : {}),
    ...(t.kind === 'suspect' ? { chapter: t.chapter.trim() } : {}),
});

/** What is sent: core/schema/follows.json. */
export const bodyOf = (d: RuleDraft): Body => ({
    code: d.code.trim(),
    title: d.title.trim(),
    source: d.source.trim(),
    ...(d.of === 'found'
        ? {
              found: {
                  ...(list(d.chapters).length > 0 ? { chapters: list(d.chapters) } : {}),
                  words: d.words.map(list).filter((w) => w.length > 0),
              },
              [THEN]: d.opens.map(then),
          }
        : {
              exceeded: {
                  quantity: d.quantity.trim(),
                  chapter: d.chapter.trim(),
                  unit: d.unit,
                  side: d.side,
                  limit: number(d.limit),
                  positions: list(d.positions),
                  rows: d.rows.map((r) => ({
                      beyond: number(r.beyond),
                      seconds: number(r.seconds),
                      title: r.title.trim(),
                      ...(r.severity === '' ? {} : { severity: r.severity, [THEN]: r.opens.map(then) }),
                  })),
              },
          }),
});

type Then = { kind: string; text: string; choices?: string[]; card?: string; chapter?: string };
type Row = { beyond: number; seconds: number; title: string; severity?: string; [THEN]?: Then[] };

const thenDraft = (t: Then): ThenDraft => ({
    kind: t.kind,
    text: t.text,
    choices: (t.choices ?? []).join(', '),
    card: t.card ?? '',
    chapter: t.chapter ?? '',
});

/** A rule as it stands, to be changed. */
export function draftOf(body: Body): RuleDraft {
    const found = body.found as { chapters?: string[]; words: string[][] } | undefined;
    const exceeded = body.exceeded as (Body & { positions: string[]; rows: Row[] }) | undefined;
    return {
        ...noRule,
        of: found ? 'found' : 'exceeded',
        code: String(body.code),
        title: String(body.title),
        source: String(body.source),
        chapters: (found?.chapters ?? []).join(', '),
        words: found?.words.map((w) => w.join(', ')) ?? [''],
        ...(exceeded
            ? {
                  quantity: String(exceeded.quantity),
                  chapter: String(exceeded.chapter),
                  unit: String(exceeded.unit),
                  side: String(exceeded.side),
                  limit: String(exceeded.limit),
                  positions: exceeded.positions.join(', '),
                  rows: exceeded.rows.map((r) => ({
                      beyond: String(r.beyond),
                      seconds: String(r.seconds),
                      title: r.title,
                      severity: r.severity ?? '',
                      opens: (r[THEN] ?? []).map(thenDraft),
                  })),
              }
            : {}),
        opens: ((body[THEN] as Then[] | undefined) ?? []).map(thenDraft),
    };
}
