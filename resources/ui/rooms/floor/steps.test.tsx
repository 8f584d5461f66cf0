// @vitest-environment happy-dom
// @vitest-environment-options { "url": "http://127.0.0.1/" }
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { strokes } from './Sketch';
import { StepWork } from './StepWork';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined });

/** The client takes hold of `fetch` as it is imported: what it is answered is put here. */
const server = vi.hoisted(() => {
    const stub = { answer: async (_: Request): Promise<Response> => Response.error() };
    globalThis.fetch = (request) => stub.answer(request as Request);
    return stub;
});

type Step = Schemas['StepView'];
type Card = Schemas['CardView'];

const step = (kind: string, spec: Record<string, unknown>, more: Partial<Step> = {}): Step => ({
    no: 4,
    kind,
    title: 'The step',
    text: 'Its text',
    spec,
    state: 'open',
    held: null,
    acts: null,
    holds: [],
    fallsWith: [],
    startedAt: null,
    heldFor: null,
    result: {},
    doneBy: null,
    doneAt: null,
    readings: [],
    runs: [],
    notFor: null,
    mayNotApply: false,
    points: [],
    remarks: [],
    mark: null,
    handles: [],
    exchange: null,
    uplift: null,
    went: [],
    before: null,
    ground: null,
    ...more,
});

const card = (one: Step, more: Partial<Card> = {}): Card =>
    ({
        id: 7,
        number: '001-07',
        mark: 'QA-VFC',
        type: 'SKV',
        effectivity: 'K1',
        state: 'in_work',
        version: 3,
        held: null,
        workWhy: null,
        underway: [],
        live: [],
        fixes: null,
        figures: [
            {
                type: 'SKV',
                code: 'F-1',
                version: 2,
                title: 'A hub',
                width: 100,
                height: 40,
                src: 'data:image/png;base64,',
            },
        ],
        handover: null,
        statement: null,
        crew: ['Oda Fenn'],
        loans: [],
        may: ['work', 'raise'],
        inspectWhy: null,
        people: ['Oda Fenn'],
        steps: [one],
        safing: [],
        tools: [
            {
                code: 'PG-21',
                title: 'Gauge',
                kind: 'pressure gauge',
                unit: 'bar',
                resolution: 0.1,
                low: 0,
                high: 100,
                calDue: '2026-08-15',
                usable: true,
                why: null,
            },
        ],
        parts: [
            {
                number: 'JV-1',
                title: 'Seal',
                oneTime: true,
                effective: true,
                effectivity: 'K1, K2',
                batches: [
                    {
                        batch: 'B-1',
                        quantity: 2,
                        expires: '2026-04-30',
                        usable: false,
                        why: 'shelf life ran out on 2026-04-30',
                    },
                    { batch: 'B-2', quantity: 4, expires: null, usable: true, why: null },
                ],
            },
        ],
        products: [
            {
                specification: 'oil EO-2',
                batch: 'O-1',
                title: 'Turbine oil',
                left: '900 mL',
                expires: null,
                never: ['oxygen'],
                why: null,
            },
        ],
        ...more,
    }) as unknown as Card;

const drawn = (one: Step, may = true, more: Partial<Card> = {}): string =>
    renderToStaticMarkup(
        <QueryClientProvider client={new QueryClient()}>
            <MemoryRouter>
                <StepWork
                    card={card(one, more)}
                    step={one}
                    may={may}
                    onWrong={() => undefined}
                    onConflict={() => undefined}
                />
            </MemoryRouter>
        </QueryClientProvider>,
    );

const reading = { point: 'p', tool_kind: 'pressure gauge', limit: { kind: 'range', unit: 'bar', min: 1, max: 2 } };

describe('each kind of step has its own control', () => {
    const table: [string, Record<string, unknown>, string[]][] = [
        ['caution', { level: 'warning' }, ['Warning', 'Go on']],
        ['instruction', {}, ['Done', 'Something is wrong']],
        ['finding_prompt', {}, ['Looked at; nothing more found']],
        [
            'safing_fit',
            { device: 'Pin', place: 'nose gear', flag: 'red', storage: 'rack 2' },
            ['Fitted', 'kept: rack 2'],
        ],
        ['safing_remove', { of: 2 }, ['Removed']],
        ['measurement', { reading }, ['Save the reading', 'PG-21']],
        [
            'timing',
            { reading: { point: 'p', limit: { kind: 'max', unit: 's', max: 7 } } },
            ['Start the watch', 'Save the time'],
        ],
        ['count', { counts: 'strokes', min: 4, max: 9 }, ['One more', '4 to 9', 'Save the count']],
        ['count', { counts: 'turns', max: 9 }, ['at most 9']],
        ['hold', { hold: { seconds: 30, what: 'steady' } }, ['Start the hold', '0 of 30 seconds held', 'steady']],
        [
            'compare',
            {
                point: 'p',
                unit: 'bar',
                within: 2,
                shown: { title: 'flight deck' },
                real: { title: 'gauge', tool_kind: 'pressure gauge' },
            },
            ['Shown: flight deck', 'Real: gauge', 'Save both'],
        ],
        [
            'part',
            { part: 'JV-1', quantity: 1, position: 'pump', seat: true, lubricate: 'oil' },
            [
                'Never used twice',
                'Fits K1, K2; QA-VFC is K1',
                'shelf life ran out',
                'Seat and groove looked at',
                'Lubricated with oil',
                'Fitted',
            ],
        ],
        ['tool', { tool_kind: 'pressure gauge' }, ['Take this tool', 'PG-21']],
        ['count', { counts: 'turns', fraction: 0.25 }, ['1/4 more']],
        [
            'answer',
            {
                graded: true,
                choices: [
                    { id: 'free', title: 'free', verdict: 'pass' },
                    { id: 'binding', title: 'binding', verdict: 'fail' },
                ],
            },
            ['free', 'binding', 'Save the answer'],
        ],
        ['mark', { what: 'Threads showing', unit: 'mm' }, ['Threads showing', 'mm', 'Marked']],
        ['meet', { mark: 'threads', within: 0.3 }, ['Marked:', 'nothing']],
        ['rollcall', { places: ['nose', 'tail'], stands: 300 }, ['5 minutes', '0 of 2 clear', 'I am here']],
        [
            'rollcall',
            { places: ['nose', 'tail'], lead: 'tail', signs: 'nose', stop: 'CUT', briefing: ['slowly'] },
            ['The words that mean stop', 'CUT', 'slowly', 'whoever is at nose signs it', 'leads'],
        ],
        [
            'exchange',
            { component: 'oxygen bottle', position: 'crew oxygen', hardware: [{ what: 'clamp', count: 2 }] },
            ['The oxygen bottle stands at crew oxygen', 'Its tag', 'Where it goes', 'Clamp off, of 2', 'It is off'],
        ],
        [
            'consumable',
            { product: 'oil EO-2', system: 'oxygen', unit: 'L', max: 2, drained: true },
            ['into oxygen', 'at most 2 L', 'never meets oxygen', 'Drained, L', 'It is in'],
        ],
        [
            'measurement',
            { reading: { ...reading, gauge: { position: 'crew oxygen' } } },
            ['Temperature at the bottle', 'the reading of its trend'],
        ],
        [
            'measurement',
            {
                reading: { ...reading, exceeds: { rule: 'SKV-X-NP', position: 'engine 1' } },
                see: [{ card: 'SKV-61-90' }, { passage: '61-00' }],
                figure: { code: 'F-1', version: 2, marks: [{ at: [0.5, 0.25], says: 'hub bolt' }] },
            },
            [
                'Beyond the limit for, s',
                'SKV-61-90',
                '/library/manuals/',
                '#61-00',
                'hub bolt',
                'translate(50 10)',
                'F-1, A hub',
            ],
        ],
        [
            'test',
            { setup: ['a'], restore: ['b'], hold: { seconds: 6, what: 'steady' }, reading },
            ['Set up; start the hold', 'Hold for 6 s', 'on the Bench'],
        ],
        [
            'inspection',
            { covers: ['leak', 'locking'] },
            ['leak, locking', 'for an inspector who did not work the card'],
        ],
    ];
    it.each(table)('%s %j', (kind, spec, words) => {
        const html = drawn(step(kind, spec)).replaceAll('<!-- -->', '');
        for (const word of words) {
            expect(html.replaceAll(/<[^>]+>/g, ' ').replaceAll(/\s+/g, ' ') + html).toContain(word);
        }
    });

    it('offers nothing to whoever may not work the card, or while another step comes first', () => {
        for (const [kind, spec] of table) {
            expect(drawn(step(kind, spec), false)).not.toContain('Something is wrong');
            expect(drawn(step(kind, spec, { held: 'Step 3 comes first.' }))).not.toContain('Something is wrong');
        }
        expect(drawn(step('instruction', {}, { held: 'Step 3 comes first.' }))).toContain('Step 3 comes first.');
    });

    it('shows what holds a step in place of its control, each with its way', () => {
        const holds = [
            {
                kind: 'person',
                name: 'Stig',
                said: 'stig works at the flaps',
                link: '/floor/9',
                action: 'Call Stig clear',
                person: 4,
                card: 9,
            },
            {
                kind: 'device',
                name: 'Lock',
                said: 'lock on the flap',
                link: '/floor/9?step=6',
                action: 'Take it off',
                person: null,
                card: null,
            },
        ];
        const html = drawn(step('count', { counts: 'strokes' }, { acts: 'moves flaps', holds }));
        expect(html).toContain('Stig works at the flaps');
        expect(html).toContain('href="/floor/9?step=6"');
        expect(html).toMatch(/<button[^>]*>Call Stig clear/);
        expect(html).toContain('Nothing overrides it');
        expect(html).not.toContain('Save the count');
    });

    it('draws what turns as something that turns, and the rest on a scale', () => {
        const reading = (kind: 'max' | 'range', unit: string) => ({
            reading: { point: 'x', limit: { kind, unit, min: 18, max: 24 } },
        });
        expect(drawn(step('torque', reading('range', 'Nm')))).toContain('18 to 24 N·m');
        expect(drawn(step('torque', reading('max', 'Nm')))).toContain('at most 24 N·m');
        expect(drawn(step('measurement', reading('range', 'deg')))).toContain('18 to 24 °');
        expect(drawn(step('measurement', reading('range', 'bar')))).toContain('aria-label="Scale in bar"');
    });

    it('tells a done step with what was entered, and takes back all but inspections', () => {
        const done = { state: 'done', doneBy: 'Oda Fenn (T27)', doneAt: 'today' };
        expect(drawn(step('count', { counts: 'strokes' }, { ...done, result: { counted: 51 } }))).toContain(
            'Counted 51.',
        );
        expect(
            drawn(step('part', {}, { ...done, result: { part: 'JV-1', batch: 'B-2', quantity: 1, again: false } })),
        ).toContain('Batch B-2, 1 JV-1.');
        expect(drawn(step('inspection', { covers: ['leak'] }, { ...done, result: { covers: ['leak'] } }))).toContain(
            'Looked at: leak.',
        );
        expect(drawn(step('instruction', {}, done))).toContain('Take this step back');
        for (const kind of ['safing_fit', 'safing_remove']) {
            expect(drawn(step(kind, {}, done))).toContain('Take this step back');
        }
        expect(drawn(step('inspection', {}, done))).not.toContain('Take this step back');
    });

    it('goes round the points of a circuit: the next large, the others with who saw them', () => {
        const point = (id: string, state: string, entry = ''): Schemas['PointView'] => ({
            id,
            place: `place ${id}`,
            state,
            entry,
            verdict: null,
            by: state === 'open' ? null : 'Aki (T31)',
            at: null,
        });
        const round = (points: Schemas['PointView'][]) =>
            drawn(step('circuit', { ask: 'count', counts: 'strokes', min: 2, product: 'grease' }, { points }));
        const html = round([point('a', 'seen', '3'), point('b', 'failed', '1'), point('c', 'open')]);
        const words = html.replaceAll(/<[^>]+>/g, ' ').replaceAll(/\s+/g, ' ');
        expect(words).toContain('1 of 3 seen; with grease');
        expect(words).toContain('Kept: 1, outside');
        expect(html).toContain('aria-label="strokes, at least 2 at place b"');
        expect(html).toMatch(/data-point="a"[^>]*disabled/);
        expect(words).not.toContain('All 3 seen');
        expect(round([point('a', 'seen'), point('b', 'found', 'F0012')])).toContain('>All 2 seen');
    });

    it('says of a step that is not meant for this aircraft only that it does not apply', () => {
        const html = drawn(step('count', { counts: 'strokes' }, { notFor: 'It is for K2; this aircraft is K1.' }));
        expect(html).toContain('It is for K2; this aircraft is K1.');
        expect(html).toContain('Not applicable');
        expect(html).not.toContain('Save the count');
        expect(drawn(step('instruction', {}, { mayNotApply: true }))).toContain('Does not apply');
        expect(drawn(step('instruction', {}))).not.toContain('Does not apply');
        const said = { state: 'not_applicable', doneBy: 'Oda Fenn (T27)', doneAt: 'today', result: { why: 'no door' } };
        expect(drawn(step('instruction', {}, said)).replaceAll('<!-- -->', '')).toContain(
            ': no door. Said by Oda Fenn',
        );
    });

    it('draws a sketch from strokes that run from nought to one', () => {
        expect(
            strokes(
                [
                    [
                        [0, 0],
                        [0.5, 1],
                    ],
                    [[1, 1]],
                ],
                400,
                200,
            ),
        ).toBe('M0.0 0.0L200.0 200.0M400.0 200.0h0.1');
        expect(strokes([], 400, 200)).toBe('');
    });
});

/** What a hand does at a step, and what of it is sent. */
describe('a step worked by hand', () => {
    afterEach(cleanup);

    const worked = (one: Step, more: Partial<Card> = {}): { sent: Record<string, unknown>[]; wrong: () => number } => {
        const sent: Record<string, unknown>[] = [];
        let wrong = 0;
        server.answer = async (request) => {
            if (!request.url.endsWith('/preview')) {
                sent.push((await request.json()) as Record<string, unknown>);
            }
            return Response.json({ message: 'Somebody else changed this card.' }, { status: 422 });
        };
        const client = new QueryClient();
        client.setQueryData(['me'], { id: 2, role: 'technician', may: [] });
        render(
            <QueryClientProvider client={client}>
                <MemoryRouter>
                    <StepWork
                        card={card(one, more)}
                        step={one}
                        may
                        onWrong={() => {
                            wrong++;
                        }}
                        onConflict={() => undefined}
                    />
                </MemoryRouter>
            </QueryClientProvider>,
        );
        return { sent, wrong: () => wrong };
    };
    const button = (name: RegExp) => screen.getByRole('button', { name }) as HTMLButtonElement;

    it('is not confirmed while it has just come up, nor by a key held down, and then once', async () => {
        const { sent } = worked(step('instruction', {}));
        fireEvent.keyDown(window, { key: 'Enter' });
        fireEvent.keyDown(window, { key: 'Enter', repeat: true });
        expect(button(/^Done/).disabled).toBe(true);
        await waitFor(() => expect(button(/^Done/).disabled).toBe(false), { timeout: 2500 });
        fireEvent.keyDown(window, { key: 'Enter', repeat: true });
        expect(sent).toEqual([]);
        fireEvent.keyDown(window, { key: 'Enter' });
        fireEvent.keyDown(window, { key: 'Enter' });
        await waitFor(() => expect(sent).toEqual([{ version: 3, do: 'done' }]), { timeout: 8000 });
        expect(await screen.findByText('Somebody else changed this card.')).toBeTruthy();
    });

    it('wants a warning to be ticked first', async () => {
        const { sent } = worked(step('caution', { level: 'warning' }));
        await waitFor(() => expect(button(/^Go on/).disabled).toBe(true));
        await new Promise((r) => setTimeout(r, 1000));
        expect(button(/^Go on/).disabled).toBe(true);
        await userEvent.click(screen.getByRole('checkbox'));
        await waitFor(() => expect(button(/^Go on/).disabled).toBe(false), { timeout: 2500 });
        await userEvent.click(button(/^Go on/));
        await waitFor(() => expect(sent).toEqual([{ version: 3, do: 'done' }]));
    });

    it('takes a reading by Enter with the tool that was chosen, and leaves it in its field when refused', async () => {
        const { sent } = worked(step('measurement', { reading }));
        const field = document.querySelector('input[name="entry"]') as HTMLInputElement;
        await userEvent.selectOptions(screen.getByRole('combobox'), 'PG-21');
        await userEvent.type(field, '1,5{Enter}');
        await waitFor(() => expect(sent).toEqual([{ version: 3, do: 'read', entry: '1,5', tool: 'PG-21' }]));
        expect(await screen.findByText('Somebody else changed this card.')).toBeTruthy();
        expect(field.value).toBe('1,5');
    });

    it.each([
        ['reference', { point: 'torque', unit: '%', tool_kind: 'pressure gauge' }],
        ['leak', { point: 'line', unit: 'bar', gas: false, minutes: 5, max_per_hour: 1, tool_kind: 'pressure gauge' }],
        [
            'stabilise',
            {
                signal: 'oil',
                unit: 'bar',
                target: 4,
                tolerance: 1,
                seconds: 9,
                by: 'readings',
                tool_kind: 'pressure gauge',
            },
        ],
    ])('drops what the instrument shows into a %s by one key', async (kind, spec) => {
        worked(step(kind, spec));
        const field = document.querySelector('input[name="entry"]') as HTMLInputElement;
        fireEvent.keyDown(field, { key: 'F2' });
        expect(await screen.findByText('Choose the instrument first.')).toBeTruthy();
        await userEvent.selectOptions(screen.getByRole('combobox'), 'PG-21');
        server.answer = async () => Response.json({ sentence: 'PG-21 shows 41.5 bar', entry: '41.5' });
        fireEvent.keyDown(field, { key: 'F2' });
        await waitFor(() => expect(field.value).toBe('41.5'));
    });

    it('counts by taps and by the space bar, not by one held down, and begins again at 0', async () => {
        const { sent } = worked(step('count', { counts: 'strokes', min: 4, max: 9 }));
        await userEvent.click(button(/^One more/));
        (document.activeElement as HTMLElement).blur();
        fireEvent.keyDown(window, { key: ' ' });
        fireEvent.keyDown(window, { key: ' ', repeat: true });
        const field = document.querySelector('input[name="entry"]') as HTMLInputElement;
        expect(field.value).toBe('2');
        await userEvent.click(button(/^Start again at 0/));
        expect([field.value, button(/^Save the count/).disabled]).toEqual(['0', true]);
        await userEvent.clear(field);
        await userEvent.type(field, '6');
        await userEvent.click(button(/^Save the count/));
        await waitFor(() => expect(sent).toEqual([{ version: 3, do: 'count', entry: '6' }]));
    });

    it('leads to a finding when something is wrong', async () => {
        const { sent, wrong } = worked(step('instruction', {}));
        await userEvent.click(button(/^Something is wrong/));
        expect([wrong(), sent]).toEqual([1, []]);
    });
});
