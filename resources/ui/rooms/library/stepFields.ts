import type { Schemas } from '../../api/client';

/** A field of a step: where its value stands under `spec`, and how it is entered. */
export type Field = {
    at: string;
    label: string;
    as: 'text' | 'long' | 'number' | 'lines' | 'pick' | 'suggest' | 'yes' | 'points' | 'rows' | 'some' | 'groups';
    /** The values of a choice, or the list of the server's that has them. */
    of?: readonly string[] | keyof Schemas['CardChoices'];
    hint?: string;
    rows?: readonly Field[];
    /** Only while another field has one of these values. */
    when?: [string, readonly string[]];
};

const field = (at: string, label: string, as: Field['as'] = 'text', more: Partial<Field> = {}): Field => ({
    at,
    label,
    as,
    ...more,
});

const limits = (at: string): Field[] => {
    const when = (...kinds: string[]): Partial<Field> => ({ when: [`${at}.limit.kind`, kinds] });
    return [
        field(`${at}.point`, 'What is read'),
        field(`${at}.tool_kind`, 'Tool', 'suggest', { of: 'tools' }),
        field(`${at}.limit.kind`, 'Limit', 'pick', { of: ['range', 'min', 'max', 'nominal'] }),
        field(`${at}.limit.unit`, 'Unit', 'pick', { of: 'units' }),
        field(`${at}.limit.min`, 'At least', 'number', when('range', 'min')),
        field(`${at}.limit.max`, 'At most', 'number', when('range', 'max')),
        field(`${at}.limit.nominal`, 'Nominal', 'number', when('nominal')),
        field(`${at}.limit.plus`, 'Plus', 'number', when('nominal')),
        field(`${at}.limit.minus`, 'Minus', 'number', when('nominal')),
        field(`${at}.decision`, 'Judged', 'pick', { of: ['simple', 'guarded'] }),
        field(`${at}.advised.min`, 'Advised from', 'number'),
        field(`${at}.advised.max`, 'Advised to', 'number'),
    ];
};

const hold = [
    field('hold.seconds', 'Seconds', 'number'),
    field('hold.what', 'Held how', 'text', { hint: 'steady within 1 bar' }),
];

/** What each kind of step holds, in the order in which it is thought of: docs/steps.md. */
export const fields: Record<string, Field[]> = {
    caution: [field('level', 'Level', 'pick', { of: ['warning', 'caution'] })],
    instruction: [],
    finding_prompt: [],
    measurement: [
        ...limits('reading'),
        field('reading.gauge.position', 'It is the gauge of the unit at', 'suggest', { of: 'positions' }),
        field('reading.gauge.filled', 'Filled or changed just before', 'yes'),
        field('reading.exceeds.rule', 'May exceed the limit of rule', 'text', { hint: 'SKV-X-NP' }),
        field('reading.exceeds.position', 'at', 'text', { hint: 'engine 1, or {position} in a block' }),
    ],
    torque: limits('reading'),
    timing: limits('reading'),
    count: [
        field('counts', 'What is counted', 'text', { hint: 'strokes' }),
        field('min', 'At least', 'number'),
        field('max', 'At most', 'number'),
        field('fraction', 'In parts of', 'pick', { of: ['', '0.5', '0.25', '0.125', '0.0625'] }),
    ],
    answer: [
        field('choices', 'Answers, in their order', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says'),
                field('verdict', 'Verdict', 'pick', { of: ['pass', 'fail'] }),
                field('unusual', 'Unusual', 'yes'),
            ],
        }),
        field('graded', 'They are grades, best first', 'yes'),
    ],
    circuit: [
        field('ask', 'At each point', 'pick', { of: ['tick', 'count', 'reading'] }),
        field('points', 'Points, one a line; "id, place" from a CSV file is taken as well', 'points'),
        field('product', 'With', 'text', { hint: 'the grease, by its specification' }),
        field('counts', 'What is counted', 'text', { when: ['ask', ['count']] }),
        field('min', 'At least', 'number', { when: ['ask', ['count']] }),
        field('max', 'At most', 'number', { when: ['ask', ['count']] }),
        ...limits('reading').map((f): Field => ({ ...f, when: f.when ?? ['ask', ['reading']] })),
    ],
    mark: [
        field('what', 'What is marked', 'text', { hint: 'threads showing at the rear bolt' }),
        field('unit', 'Unit, if it is a number', 'pick', { of: 'units' }),
    ],
    meet: [
        field('mark', 'The mark, by its name', 'text', { hint: 'the name of the step that made it' }),
        field('within', 'Within', 'number'),
    ],
    hold,
    compare: [
        field('point', 'What is compared'),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('within', 'Within', 'number'),
        field('shown.title', 'Shown by'),
        field('real.title', 'Really, at'),
        field('real.tool_kind', 'Tool', 'suggest', { of: 'tools' }),
    ],
    part: [
        field('part', 'Part', 'suggest', { of: 'parts' }),
        field('quantity', 'How many', 'number'),
        field('position', 'Where'),
        field('seat', 'Look at seat and groove first', 'yes'),
        field('lubricate', 'Lubricated with'),
    ],
    exchange: [
        field('component', 'Unit', 'suggest', { of: 'components' }),
        field('position', 'Where it stands', 'suggest', { of: 'positions' }),
        field('hardware', 'What goes over to the new unit', 'rows', {
            rows: [field('what', 'What'), field('count', 'How many', 'number')],
        }),
    ],
    consumable: [
        field('product', 'Product, by its specification', 'suggest', { of: 'products' }),
        field('system', 'Into', 'suggest', { of: 'systems' }),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('min', 'At least', 'number'),
        field('max', 'At most', 'number'),
        field('drained', 'What is drained before is measured', 'yes'),
        field('uplift', 'Per flight hour: tell use from a leak', 'yes'),
    ],
    tool: [field('tool_kind', 'Tool', 'suggest', { of: 'tools' }), field('for', 'For')],
    safing_fit: [
        field('device', 'Device'),
        field('place', 'Place'),
        field('flag', 'Flag'),
        field('against', 'Against, one a line', 'lines', { hint: 'systems; * for all' }),
        field('open_line', 'It leaves a line or a connector open', 'yes'),
        field('storage', 'Where what comes off is kept'),
    ],
    safing_remove: [
        field('of', 'What which step fitted', 'text', { hint: 'its name, or its number' }),
        field('made', 'On which card of the visit', 'pick', { of: ['', 'safe', 'raise'] }),
    ],
    rollcall: [
        field('places', 'Places, one a line', 'lines'),
        field('stands', 'A call stands for, seconds', 'number'),
        field('lead', 'Who leads stands at'),
        field('stop', 'The words that mean stop'),
        field('briefing', 'Briefing, one a line', 'lines'),
        field('signs', 'It is signed by whoever is at'),
    ],
    test: [
        field('setup', 'Set up, one a line', 'lines'),
        ...hold,
        ...limits('reading'),
        field('restore', 'Put back, one a line', 'lines'),
    ],
    sheet: [
        field('points', 'Points, in their order', 'rows', {
            rows: [
                field('id', 'Name'),
                field('place', 'Place'),
                field('unit', 'Unit', 'pick', { of: 'units' }),
                field('tool_kind', 'Tool', 'suggest', { of: 'tools' }),
                field('limit.kind', 'Limit', 'pick', { of: ['', 'range', 'min', 'max', 'nominal'] }),
                field('limit.unit', 'in', 'pick', { of: 'units' }),
                field('limit.min', 'At least', 'number'),
                field('limit.max', 'At most', 'number'),
                field('limit.nominal', 'Nominal', 'number'),
                field('limit.plus', 'Plus', 'number'),
                field('limit.minus', 'Minus', 'number'),
            ],
        }),
        field('spread', 'Alike', 'rows', {
            rows: [
                field('title', 'Which'),
                field('of', 'Points, one a line', 'lines'),
                field('max', 'Apart by at most', 'number'),
            ],
        }),
        field('derived', 'Worked out from them', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says'),
                field('unit', 'Unit', 'pick', { of: 'units' }),
                field('is', 'Is', 'text', { hint: '(left + right) / 2' }),
            ],
        }),
        field('draw', 'Drawn as', 'pick', { of: ['', 'scale', 'arc', 'pair', 'ring'] }),
        field('left', 'As found, then as left', 'yes'),
        field('watch', 'Each has a watch of its own', 'yes'),
    ],
    stabilise: [
        field('signal', 'Signal'),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('target', 'Around', 'number'),
        field('tolerance', 'Within', 'number'),
        field('seconds', 'For, seconds', 'number'),
        field('by', 'By', 'pick', { of: ['watch', 'readings', 'samples'] }),
        field('tool_kind', 'Tool', 'suggest', { of: 'tools' }),
    ],
    reference: [
        field('point', 'What is recorded'),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('tool_kind', 'Tool', 'suggest', { of: 'tools' }),
        field('signal', 'Signal of the recorder'),
    ],
    transition: [
        field('point', 'What is watched'),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('reference', 'From the reference, by its name'),
        field('limit', 'At most, either way', 'number'),
        field('usual', 'Usual, either way', 'number'),
        field('watch', 'Watched for, seconds', 'number'),
        field('partner.point', 'The other engine: what is watched'),
        field('partner.reference', 'from the reference, by its name'),
        field('partner.limit', 'at most', 'number'),
        field('signal', 'Signal of the recorder'),
        field('hold.signal', 'Stable first: signal'),
        field('hold.target', 'around', 'number'),
        field('hold.tolerance', 'within', 'number'),
        field('hold.seconds', 'for, seconds', 'number'),
    ],
    sequence: [
        field('items', 'What is watched', 'rows', { rows: [field('id', 'Name'), field('title', 'Says')] }),
        field('order', 'In which order, by their names: one group a line, with commas within a group', 'groups'),
    ],
    indication: [
        field('of', 'What is shown', 'text', { hint: 'left main gear down and locked' }),
        field('sources', 'By what', 'rows', {
            rows: [field('id', 'Name'), field('title', 'Says'), field('proves', 'Proves it', 'yes')],
        }),
    ],
    precharge: limits('reading'),
    leak: [
        field('point', 'What holds pressure'),
        field('unit', 'Unit', 'pick', { of: 'units' }),
        field('gas', 'It is a gas: temperature counts', 'yes'),
        field('from', 'From the reading, by its name', 'text', { hint: 'of an earlier step' }),
        field('minutes', 'For, minutes', 'number'),
        field('max_per_hour', 'It may lose, an hour', 'number'),
        field('tool_kind', 'Tool', 'suggest', { of: 'tools' }),
    ],
    selftest: [
        field('channels', 'Channels, one a line', 'lines'),
        field('screens', 'Screens, in their order', 'rows', { rows: [field('id', 'Name'), field('title', 'Shows')] }),
        field('codes', 'Codes', 'rows', { rows: [field('code', 'Code'), field('says', 'Means')] }),
    ],
    functional: [
        field('system', 'System', 'suggest', { of: 'systems' }),
        field('passage', 'Passage of the manual', 'text', { hint: '29-11' }),
        field('positions', 'Once for each of, one a line', 'lines', { hint: 'engine 1' }),
        field('conditions', 'Asked before each attempt', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says', 'text', { hint: 'Wind' }),
                field('unit', 'Unit', 'text', { hint: 'kt' }),
                field('min', 'At least', 'number'),
                field('max', 'At most', 'number'),
            ],
        }),
        field('limits', 'Watched all the time', 'rows', {
            rows: [
                field('title', 'What'),
                field('unit', 'Unit'),
                field('min', 'At least', 'number'),
                field('max', 'At most', 'number'),
                field('rule', 'Rule'),
                field('position', 'at'),
            ],
        }),
        field('stop', 'The words that mean stop'),
        field('inspect', 'Inspected when it is broken off, one a line', 'lines'),
        field('rule.at_least', 'Passed by at least so many', 'number'),
        field('rule.of', 'of these, by their names, one a line', 'lines'),
        field('rule.is', 'or by a condition', 'text', { hint: 'normal and (pump or fall)' }),
        field('goes_on', 'It goes on after a failure', 'yes'),
        field('tree', 'Fault tree', 'suggest', { of: 'trees' }),
    ],
    inspection: [field('covers', 'What is looked at, one a line', 'lines')],
    each: [field('positions', 'Positions, one a line', 'lines', { hint: 'door 1 left' })],
    rig: [
        field('tool_kind', 'Tool', 'suggest', { of: 'tools' }),
        field('points', 'Points that are read, in their order', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says'),
                field('unit', 'Unit', 'pick', { of: 'units' }),
                field('min', 'At least', 'number'),
                field('max', 'At most', 'number'),
                field('aim', 'Aim', 'number'),
                field('noise', 'One reading is off by', 'number'),
                field('running', 'Read with the engine running', 'yes'),
            ],
        }),
        field('adjusters', 'What is turned, in the order of work', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says'),
                field('unit', 'Counted in', 'text', { hint: 'turns' }),
                field('step', 'Smallest step', 'number'),
                field('min', 'From', 'number'),
                field('max', 'To', 'number'),
                field('positive', 'More of it is', 'pick', {
                    of: ['cw', 'ccw', 'lengthen', 'shorten', 'raise', 'lower'],
                }),
                field('approach', 'Come to it from', 'pick', {
                    of: ['cw', 'ccw', 'lengthen', 'shorten', 'raise', 'lower'],
                }),
                field('shape', 'Drawn as', 'text', { hint: 'screw' }),
                field('proofs', 'Turned, proven besides by', 'some', { of: 'proofs' }),
                field('washer.unit_teeth', 'Serrations at the unit', 'number', { hint: 'of a washer with two sides' }),
                field('washer.lever_teeth', 'Serrations at the lever', 'number'),
                field('buckles.names', 'Turned equal and opposite, one a line', 'lines', {
                    hint: 'the cable that more lets out, first',
                }),
                field('buckles.max_threads', 'Threads that may show, at most', 'number'),
            ],
        }),
        field('match', 'Points that must match', 'rows', {
            rows: [field('points', 'Two of them, one a line', 'lines'), field('within', 'Within', 'number')],
        }),
        field('effect_pct', 'The book is off by, %', 'number', { hint: '15' }),
        field('requires', 'What must hold before anything is read', 'rows', {
            rows: [
                field('id', 'Name'),
                field('title', 'Says'),
                field('unit', 'Unit, where it is measured', 'pick', { of: 'units' }),
                field('min', 'At least', 'number'),
                field('max', 'At most', 'number'),
            ],
        }),
        field('ground.budget', 'Ground runs that are meant', 'number'),
        field('ground.fuel_kg', 'Fuel of one, kg', 'number'),
        field('ground.crew_hours', 'Crew hours of one', 'number'),
        field('ground.system', 'System, as Bench lists the runs', 'text', { hint: 'engine controls' }),
        field('ground.places', 'Who is called before each, one place a line', 'lines'),
        field('ground.cautions', 'Read out before each, one a line', 'lines'),
        field('ground.stop', 'The words that mean stop'),
        field('ground.limits', 'Watched all the time', 'rows', {
            rows: [field('title', 'What'), field('rule', 'Limit of rule'), field('position', 'at')],
        }),
        field('ground.cool_s', 'Cool-down at idle, s', 'number'),
    ],
};

export const kinds = Object.keys(fields);

/** Of that, what a functional test as a whole may have. */
const ofTests = ['applies', 'joins', 'proves', 'why'];

export const commonOf = (kind: string): { title: string; fields: Field[] }[] =>
    kind !== 'functional'
        ? common
        : common
              .map((c) => ({ ...c, fields: c.fields.filter((f) => ofTests.includes(f.at.split('.')[0] ?? '')) }))
              .filter((c) => c.fields.length > 0);

/** What any step may have besides, folded away until it is wanted. */
const common: { title: string; fields: Field[] }[] = [
    {
        title: 'For whom',
        fields: [
            field('applies.tail', 'Aircraft, one a line', 'lines'),
            field('applies.variant', 'Effectivity codes, one a line', 'lines'),
            field('applies.option', 'Fitted options, one a line', 'lines'),
            field('applies.position', 'Positions of the block, one a line', 'lines'),
            field('applies.answer.step', 'After the answer to, by its name'),
            field('applies.answer.is', 'if that was, one a line', 'lines'),
            field('applies.why', 'Because'),
        ],
    },
    {
        title: 'What it disturbs, joins and proves',
        fields: [
            field('disturbs', 'Disturbs', 'rows', {
                rows: [
                    field('what', 'What'),
                    field('how', 'How', 'pick', { of: 'hows' }),
                    field('proofs', 'Proven again by', 'some', { of: 'proofs' }),
                ],
            }),
            field('joins', 'Joins, one a line', 'lines'),
            field('proves', 'Proves', 'rows', {
                rows: [field('by', 'By', 'pick', { of: 'proofs' }), field('of', 'Of what, one a line', 'lines')],
            }),
        ],
    },
    {
        title: 'A second person',
        fields: [
            field('second.says', 'Says', 'text', { hint: 'neutral' }),
            field('second.from', 'Standing at', 'text', { hint: 'the tail' }),
        ],
    },
    {
        title: 'Where it leads',
        fields: [
            field('see', 'See also', 'rows', {
                rows: [
                    field('card', 'Card', 'suggest', { of: 'cards' }),
                    field('passage', 'or passage', 'text', { hint: '29-11' }),
                ],
            }),
        ],
    },
    {
        title: 'What it does to a system',
        fields: [
            field('acts.how', 'It', 'pick', { of: ['', 'energises', 'moves', 'pressurises'] }),
            field('acts.systems', 'Systems, one a line', 'lines', { of: 'systems' }),
            field('acts.with', 'Devices that may be on meanwhile, one a line', 'lines'),
            field('ends', 'Systems that are dead again after it, one a line', 'lines', { of: 'systems' }),
        ],
    },
    {
        title: 'Its reverse, when a deferral is closed',
        fields: [
            field('undo.title', 'Title'),
            field('undo.text', 'Text', 'long'),
            field('undo.ask', 'It asks whether it is so', 'yes'),
            field('undo.last', 'After all others', 'yes'),
        ],
    },
    {
        title: 'Why, label, name',
        fields: [
            field('why', 'Why the step is there', 'long'),
            field('label', 'Label on the panel'),
            field('id', 'Name, for other steps', 'text', { hint: 'small letters and figures' }),
            field('group', 'Worked in any order with others of', 'text'),
            field('when', 'In a functional test', 'pick', { of: ['', 'setup', 'restore'] }),
        ],
    },
];
