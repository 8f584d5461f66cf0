import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter, Route, Routes } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Crew } from './crew/Crew';
import { Person } from './crew/Person';
import { Floor } from './floor/Floor';
import { Register } from './floor/Register';
import { Manual } from './library/Manual';
import { Tool } from './stores/Tool';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });

/** A room as it is drawn from what the server said, without tags. */
function drawn(
    room: ReactNode,
    key: unknown[],
    data: unknown,
    path = '/',
    route = '/',
    me: Partial<Schemas['Me']> = {},
): { html: string; words: string } {
    const client = new QueryClient();
    client.setQueryData(key, data);
    client.setQueryData(['me'], { id: 2, role: 'technician', may: [], ...me });
    const html = renderToStaticMarkup(
        <QueryClientProvider client={client}>
            <MemoryRouter initialEntries={[path]}>
                <Routes>
                    <Route path={route} element={room} />
                </Routes>
            </MemoryRouter>
        </QueryClientProvider>,
    ).replaceAll('<!-- -->', '');
    return { html, words: html.replaceAll(/<[^>]+>/g, ' ').replaceAll(/\s+/g, ' ') };
}

const row = (number: string, more: Partial<Schemas['CardRow']> = {}): Schemas['CardRow'] => ({
    id: Number(number),
    number,
    mark: 'QA-VFC',
    title: `Card ${number}`,
    state: 'open',
    mine: false,
    inspection: false,
    inspectWhy: null,
    inspectNext: null,
    hold: null,
    handedOver: null,
    there: [],
    stepsDone: 1,
    steps: 4,
    zone: 'tail',
    visit: 'Block check',
    stopped: null,
    ...more,
});

describe('Floor', () => {
    const cards = [
        row('1', { mine: true }),
        row('2', { inspection: true }),
        row('3', { inspection: true, inspectWhy: 'you worked on it' }),
        row('4', { handedOver: 'Jory, 14:00: half done' }),
        row('5', { hold: 'waits for 6' }),
        row('6', { there: ['Stig'] }),
    ];
    const data = { sentence: 'Your next card: 1.', cards };

    it('shows what is asked for, and says how many of how many', () => {
        const { words } = drawn(<Floor />, ['floor'], data, '/?on=QA-VFC&q=Stig%20tail', '/');
        expect(words).toContain('1 of 6');
        expect(words).toContain('Card 6');
        expect(words).not.toContain('Card 5');
        const many = { ...data, cards: [1, 2, 3, 4, 5, 6, 7, 8, 9].map((n) => row(String(n), { mark: `Q-40${n}` })) };
        expect(drawn(<Floor />, ['floor'], many).html).toContain('<select aria-label="Aircraft"');
        expect(drawn(<Floor />, ['floor'], data).html).not.toContain('<select');
        expect(drawn(<Floor />, ['floor'], data, '/?on=Q-401', '/').words).toContain('No open card is like that.');
    });

    it('gives an inspector what is theirs first, and says of the rest why not', () => {
        const { words } = drawn(<Floor />, ['floor'], data, '/', '/', { role: 'inspector' });
        expect(words.indexOf('For you to inspect')).toBeGreaterThan(words.indexOf('Your next card'));
        expect(words.indexOf('Card 2')).toBeLessThan(words.indexOf('Mine'));
        expect(words).toContain('not you: you worked on it');
    });

    it('gives a technician their own first; each card says how it stands', () => {
        const { words } = drawn(<Floor />, ['floor'], data);
        expect(words).not.toContain('For you to inspect');
        expect(words.indexOf('Card 1')).toBeLessThan(words.indexOf('Waiting for an independent inspection'));
        for (const said of [
            'handed over',
            'Jory, 14:00: half done',
            'held',
            'waits for 6',
            'at it: Stig',
            'to inspect',
        ]) {
            expect(words).toContain(said);
        }
    });
});

const device = (id: number, more: Partial<Schemas['SafingView']> = {}): Schemas['SafingView'] => ({
    id,
    kind: `Pin ${id}`,
    place: 'nose gear',
    flag: 'red',
    card: '001-02',
    cardId: 2,
    since: '5 May',
    by: 'Oda',
    openLine: false,
    against: ['landing gear'],
    storage: null,
    carriedBy: null,
    removerCard: 2,
    removerStep: 5,
    remover: 'step 5 of 001-02',
    days: 0,
    ...more,
});

describe('the safing register', () => {
    const outline = { length: 10, half: 5, height: 3, side: [], top: [], front: [] };
    const data = {
        mark: 'QA-VFC',
        type: 'SKV',
        sentence: 'said',
        asOf: 'now',
        people: [{ personId: 2, name: 'Oda, Gear', since: '14:20', me: true }],
        undrawn: ['Cap, somewhere'],
        drawing: { outline, marks: [{ id: 1, no: 1, name: 'Pin 1', state: 'watch', x: 2, y: 1, z: 0.5 }] },
        devices: [
            device(1, { storage: 'rack 2', days: 3 }),
            device(2, { openLine: true, against: ['*'], remover: null, removerCard: null, removerStep: null }),
            device(3, { carriedBy: 'F0003', remover: null }),
        ],
        notWhole: [
            {
                what: 'union 2',
                apart: false,
                said: 'Union 2 is not proven since.',
                chain: ['slackened, today, Oda, step 3 of card 001-04', 'joined'],
                missing: ['leak check'],
                link: '/floor/4?step=3',
            },
        ],
        offers: [{ title: 'SKV-1, Leak run', link: null, template: 9, hours: 1.5, proves: 'leak check of union 2' }],
        visitId: 3,
    };

    it('leads from each thing to the step that takes it off, and says where nothing does', () => {
        const { html, words } = drawn(
            <Register />,
            ['registers', 'QA-VFC'],
            data,
            '/floor/registers/QA-VFC',
            '/floor/registers/:mark',
        );
        expect(html).toContain('href="/floor/2?step=5"');
        expect(words).toContain('Kept: rack 2');
        expect(words).toContain('(3 days)');
        expect(words).toContain('against every system');
        expect(words).toContain('open line');
        expect(words).toContain('carried by F0003');
        expect(words.match(/no step takes it off/g)).toHaveLength(1);
        expect(words).toContain('Not on the drawing: Cap, somewhere.');
        expect(html.match(/data-view="/g)).toHaveLength(3);
        expect(words).toContain('Unproven Union 2 is not proven since.');
        expect(words).toContain('SKV-1, Leak run (1.5 h) leak check of union 2 Put it on the visit');
        expect(html).toContain('href="/floor/4?step=3"');
    });
});

describe('a manual', () => {
    const template = (id: number, more: Partial<Schemas['MarkedTemplate']> = {}): Schemas['MarkedTemplate'] => ({
        id,
        code: `T-${id}`,
        title: 'Task',
        section: '76-22',
        revision: 6,
        method: '',
        fleets: [],
        marked: true,
        stays: false,
        proposed: 'both engines',
        mayBoth: true,
        stepsNow: ['Run one'],
        stepsProposed: ['Run one', 'Run both'],
        textState: 'its text is changed',
        reread: null,
        pieces: [
            { kind: 'same', text: 'Run' },
            { kind: 'gone', text: ' one' },
            { kind: 'new', text: ' both' },
        ],
        lost: ['Never alone.'],
        contradicts: ['Step 2 still says 0.4; the passage no longer does.'],
        ...more,
    });
    const room = (may: string[]): Schemas['ManualRoom'] => ({
        code: 'BM-TRK',
        type: 'TRK',
        title: 'Manual',
        revision: 7,
        sentence: 'One must be re-read.',
        revisions: [{ revision: 7, issued: '2026-04-27', summary: 'both run', passages: 1 }],
        passages: [{ section: '76-22', title: 'Change-over', state: 'changed', old: '', now: '', pieces: [] }],
        templates: [
            template(1),
            template(2, { marked: false, reread: 'Tor: read', stays: true, fleets: ['coast'], pieces: [] }),
        ],
        cards: [
            {
                id: 9,
                number: '002-01',
                mark: 'Q-403',
                title: 'Check',
                revision: 6,
                version: 1,
                state: 'open',
                templateRead: false,
                begun: false,
            },
            {
                id: 8,
                number: '002-02',
                mark: 'Q-404',
                title: 'Check',
                revision: 6,
                version: 1,
                state: 'in_work',
                templateRead: true,
                begun: true,
            },
        ],
        questions: [
            {
                id: 1,
                manual: 'BM-TRK',
                section: '76-22',
                by: 'Ivo',
                at: 'today',
                text: 'Which?',
                answer: null,
                reference: null,
                answeredBy: null,
                answeredAt: null,
            },
        ],
        fleets: ['coast'],
        may,
    });

    it('shows what went on one side and what came on the other, and nothing twice', () => {
        const { html, words } = drawn(
            <Manual />,
            ['library', 'manual', 'BM-TRK'],
            room(['reread', 'ask']),
            '/library/manuals/BM-TRK',
            '/library/manuals/:code',
        );
        expect(html).toMatch(/<del[^>]*> one<\/del>/);
        expect(html).toMatch(/<ins[^>]*> both<\/ins>/);
        expect(words).not.toContain('What else revision 7 changed');
        expect(words).toContain('The revision brings a method for it: both engines .');
        expect(words).toContain('its template comes first');
        expect(words.match(/Accept it/g)).toHaveLength(1);
        expect(words).toContain('stays there');
        expect(words).toContain('Read again by Tor: read');
        expect(html).toContain('aria-label="Answer"');
    });
});

describe('Stores', () => {
    const tool: Schemas['StoreTool'] = {
        code: 'CT-03',
        title: 'Tensiometer',
        kind: 'tensiometer',
        range: '10 to 250',
        calDue: '2026-08-01',
        state: 'stop',
        said: 'is recalled',
        place: 'shelf',
        readings: 6,
        out: null,
    };
    const card = (id: number, state: string): Schemas['RestingCard'] => ({
        id,
        number: `01${id}-01`,
        title: 'Cables',
        visitState: 'released',
        byCardId: state === 'stop' ? null : 40 + id,
        byCard: state === 'stop' ? null : `01${id}-02`,
        state,
        readings: [{ point: 'left', value: 58, unit: 'lbf', verdict: 'pass', at: 'then', by: 'Tuva' }],
    });
    const room = (may: string[], toOpen: number): Schemas['ToolRoom'] => ({
        inUse: true,
        away: false,
        tool,
        sentence: 'CT-03 is recalled.',
        may,
        checks: [{ date: '2026-05-04', good: false, note: 'reads low', by: 'Tor' }],
        recall: {
            id: 1,
            foundOn: '2026-05-04',
            lastGood: null,
            note: 'reads low',
            readings: 2,
            uses: 0,
            toOpen,
            toClose: 1,
            start: '2026-05-05',
            end: '2026-05-07',
            aircraft: [
                {
                    mark: 'QA-VFE',
                    cards: [card(1, 'stop'), card(2, 'waiting'), card(3, 'clear')],
                    toOpen,
                    visits: [],
                    flies: null,
                },
            ],
        },
    });

    it('lists what rests on a recalled tool and opens the re-checks together', () => {
        const { html, words } = drawn(
            <Tool />,
            ['stores', 'CT-03'],
            room(['edit'], 3),
            '/stores/tools/CT-03',
            '/stores/tools/:code',
        );
        expect(words).toContain('Open all 3 re-checks');
        expect(words).toContain('No check says that it ever was good');
        for (const said of ['no re-check yet', 're-check open', 'read again', '58 lbf']) {
            expect(words).toContain(said);
        }
        expect(html).toContain('href="/floor/42"');
        expect(
            drawn(<Tool />, ['stores', 'CT-03'], room(['edit'], 1), '/stores/tools/CT-03', '/stores/tools/:code').words,
        ).toContain('Open the re-check');
        expect(
            drawn(<Tool />, ['stores', 'CT-03'], room([], 3), '/stores/tools/CT-03', '/stores/tools/:code').words,
        ).not.toContain('Open all');
    });
});

describe('people', () => {
    const held = (
        value: string,
        days: number | null,
        state: string,
        more: Partial<Schemas['QualificationView']> = {},
    ) => ({
        kind: 'skill',
        value,
        words: `the skill ${value}`,
        validUntil: days === null ? null : '2026-06-01',
        days,
        state,
        note: days === null ? '' : `lapses in ${days} days`,
        paper: 'file 27, sheet 1',
        ...more,
    });
    const person: Schemas['PersonView'] = {
        id: 7,
        name: 'Sanne Dorn',
        stamp: 'T22',
        role: 'technician',
        base: 'Skarnholm',
        shift: 'early',
        today: '',
        trainee: false,
        supervisor: null,
        away: [{ from: '2026-05-11', until: '2026-05-15', shift: null, why: 'leave' }],
        qualifications: [held('engine', 27, 'watch')],
        waiting: [],
        cards: 2,
    };
    const choices = {
        roles: ['technician'],
        bases: ['Skarnholm'],
        shifts: ['early', 'late'],
        supervisors: [],
        skills: ['engine'],
        types: ['OLN'],
        confirmed: ['duplicate', 'certify'],
    };
    const hit = {
        cardId: 9,
        number: '004-01',
        mark: 'QC-TAD',
        title: '12-month check',
        on: '2026-06-09',
        role: 'perform',
        nobody: false,
    };
    const lapse = (days: number | null, more: Partial<Schemas['LapseView']> = {}): Schemas['LapseView'] => ({
        personId: 7,
        name: 'Sanne Dorn',
        kind: 'skill',
        value: 'engine',
        until: '2026-06-01',
        days,
        state: 'watch',
        said: 'loses the engine skill',
        hits: [],
        ...more,
    });
    const room = (may: string[], more: Partial<Schemas['PersonRoom']> = {}): Schemas['PersonRoom'] => ({
        person,
        sentence: 'Sanne Dorn loses the engine skill in 27 days.',
        waiting: [],
        login: 'sanne',
        version: 3,
        weekdays: [1, 2, 3],
        supervisorId: null,
        leaves: '2026-08-31',
        ownPin: false,
        qualifications: [
            { qualification: held('engine', 27, 'watch'), asked: [hit] },
            { qualification: held('airframe', null, 'clear'), asked: [] },
            { qualification: held('avionics', 900, 'clear'), asked: [] },
            { qualification: held('hydraulics', -3, 'stop', { paper: '' }), asked: [] },
        ],
        lapses: [lapse(27, { hits: [hit] })],
        rest: ['only 8 h of rest before Fri 8 May 06:00, at least 11 h are due'],
        entries: [{ at: 'Tue 5 May 14:20', who: 'Ines Maro (C01)', said: 'the engine skill renewed' }],
        choices,
        may,
        ...more,
    });
    const shown = (r: Schemas['PersonRoom']) => drawn(<Person />, ['crew', 7], r, '/crew/people/7', '/crew/people/:id');

    it('draws what is held to its last day, at most two years, and an arrow where it goes on', () => {
        const { html, words } = shown(room([]));
        const ends = [...html.matchAll(/<line x1="2" x2="([\d.]+)" y1="10"/g)].map((m) => Number(m[1]));
        expect(ends.map((x) => Math.round(((x - 2) / 396) * 730))).toEqual([27, 730, 730, 0]);
        expect(html.match(/M400 4/g)).toHaveLength(2);
        expect(['27 days left', 'does not lapse', 'lapsed'].every((l) => html.includes(`aria-label="${l}"`))).toBe(
            true,
        );
        expect(words).toContain('1 open card asks for it');
        expect(words).toContain('no paper entered');
        expect(words).toContain('last day 2026-08-31');
    });

    it('lists lapses as fuses, with what they hit and how to get there', () => {
        const crew = (lapses: Schemas['LapseView'][], may: string[]): Schemas['CrewView'] => ({
            sentence: 's',
            lapses,
            people: [person],
            choices,
            hits: [],
            may,
        });
        const list = [
            lapse(27, { hits: [hit, { ...hit, cardId: 10, number: '004-02', role: 'duplicate', nobody: true }] }),
            lapse(-2, { value: 'a', state: 'stop' }),
            lapse(null, { value: 'b', state: 'stop' }),
            lapse(90, { value: 'c' }),
        ];
        const { html, words } = drawn(<Crew />, ['crew'], crew(list, ['rota', 'edit']));
        expect(words).toMatch(
            /004-01 12-month check, to work on 9 Jun[^:]*004-02 12-month check, to inspect on 9 Jun *: nobody else can/,
        );
        expect(
            [...html.matchAll(/<line x1="0" x2="([\d.]+)" y1="11" y2="11" stroke="currentColor"/g)].map((m) =>
                Number(m[1]),
            ),
        ).toEqual([81, 0, 0, 180]);
        expect(['27 d', 'past', 'missing', '90 d'].every((w) => words.includes(w))).toBe(true);
        expect(html).toContain('href="/floor/9"');
        expect(html).toContain('href="/crew/people/7"');
        expect(words).toContain('Enter somebody');
        expect(drawn(<Crew />, ['crew'], crew([], [])).words).not.toMatch(/Enter somebody|Days of/);
    });
});
