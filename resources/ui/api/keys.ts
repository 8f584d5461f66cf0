import type { QueryClient } from '@tanstack/react-query';

/** The names under which what was read is kept: from the whole of a room down to one thing in it. */
export const keys = {
    me: ['me'],
    moment: ['moment'],
    since: ['since'],
    fleet: ['fleet'],
    aircraft: (mark: string) => ['fleet', mark],
    history: (mark: string) => ['fleet', mark, 'history'],
    due: (days: number) => ['due', days],
    asOf: (query: object) => ['fleet', 'as-of', query],
    stagger: (query: object) => ['stagger', query],
    bottles: ['bottles'],
    components: ['components'],
    calendarLinks: ['calendar-links'],
    library: ['library'],
    programme: (type: string) => ['library', type],
    manual: (code: string) => ['library', 'manual', code],
    template: (type: string, code: string) => ['library', 'card', type, code],
    cardChoices: (type: string) => ['library', 'choices', type],
    cardChanges: (type: string, code: string, from: number, to: number) => ['library', 'changes', type, code, from, to],
    visits: ['visits'],
    visit: (id: number) => ['visits', id],
    visitMore: (id: number) => ['visits', id, 'more'],
    board: (id: number) => ['visits', id, 'board'],
    slip: (id: number, card: number) => ['visits', id, 'slip', card],
    window: (id: number) => ['visits', id, 'window'],
    progress: (id: number) => ['visits', id, 'progress'],
    planRun: (visit: number) => ['plan-run', visit],
    candidates: (card: number, role: string) => ['candidates', card, role],
    bays: ['visits', 'bays'],
    season: (days: number) => ['visits', 'season', days],
    seasonRun: ['season-run'],
    phases: (query: object) => ['visits', 'phases', query],
    floor: ['floor'],
    line: ['line'],
    exceedances: ['exceedances'],
    follows: ['library', 'follows'],
    listed: (type: string) => ['library', 'listed', type],
    figures: (type: string) => ['library', 'figures', type],
    damage: (mark: string, card: number | null) => ['damage', mark, card],
    cards: ['cards'],
    card: (id: number) => ['cards', id],
    finding: (id: number) => ['findings', id],
    registers: ['registers'],
    register: (mark: string) => ['registers', mark],
    crew: ['crew'],
    person: (id: number) => ['crew', id],
    shift: (query: object) => ['crew', 'shift', query],
    stores: ['stores'],
    tool: (code: string) => ['stores', code],
    part: (number: string) => ['stores', 'part', number],
    bench: ['bench'],
    pastTests: (query: object) => ['bench', 'attempts', query],
    attempt: (id: number) => ['bench', 'attempts', id],
    walk: (finding: number) => ['bench', 'walk', finding],
    trends: ['bench', 'trends'],
    beside: (card: number, no: number) => ['cards', card, 'beside', no],
    trend: (reading: number) => ['bench', 'trends', reading],
    riggings: ['bench', 'riggings'],
    rigging: (id: number) => ['bench', 'riggings', id],
    recordings: ['bench', 'recordings'],
    recording: (id: number) => ['bench', 'recordings', id],
    samples: (id: number, query: object) => ['bench', 'recordings', id, query],
    trees: ['library', 'trees'],
    deferrals: ['deferrals'],
    carried: (page: number) => ['deferrals', 'carried', page],
    reminders: ['deferrals', 'reminders'],
    reports: ['deferrals', 'reports'],
    report: (id: number) => ['deferrals', 'reports', id],
    reliability: (query: object) => ['deferrals', 'reliability', query],
    reliabilityRows: (query: object) => ['deferrals', 'reliability', 'rows', query],
    sectors: (days: number) => ['deferrals', 'sectors', days],
    swap: (mark: string, date: string) => ['deferrals', 'swap', mark, date],
    deferral: (id: number) => ['deferrals', id],
    deferOptions: (id: number) => ['deferrals', 'decide', id],
    releases: (find: string) => ['release', 'all', find],
    release: (id: number) => ['release', id],
} as const;

/** What a change touches: whole rooms of what was read, or everything but who is signed in. */
export type Affects = readonly (readonly unknown[])[] | 'everything';

/** Changes that reach no further than these rooms; whatever moves dates, work or the aircraft touches everything. */
export const touches = {
    parts: [keys.stores, keys.cards, keys.visits],
    tools: [keys.stores, keys.cards, keys.visits],
    loans: [keys.stores, keys.cards, keys.registers, ['release']],
    people: [keys.crew, keys.visits, keys.floor, keys.cards, ['candidates']],
    gauges: [keys.fleet, keys.bottles, ['due'], keys.visits, keys.deferrals, ['release']],
    library: [keys.library],
    slots: [keys.visits],
    season: [keys.seasonRun],
    closures: [keys.bays],
    search: [['plan-run'], keys.visits],
    presence: [keys.cards, keys.floor, keys.registers, keys.visits, ['release']],
    drawing: [['findings'], keys.cards, keys.visits],
} as const satisfies Record<string, Affects>;

/** Reads anew what a change touched, where it is on the screen; the rest when it is next shown. */
export function readAnew(client: QueryClient, affects: Affects = 'everything', but?: readonly unknown[]): void {
    if (affects !== 'everything') {
        for (const queryKey of [...affects, keys.moment]) {
            void client.invalidateQueries({ queryKey });
        }
        return;
    }
    const same = (key: readonly unknown[]) => but !== undefined && JSON.stringify(key) === JSON.stringify(but);
    void client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== keys.me[0] && !same(q.queryKey) });
}

/** Asks again who is signed in, after the server said that nobody is. */
export const askWho = (client: QueryClient): void => void client.invalidateQueries({ queryKey: keys.me });
