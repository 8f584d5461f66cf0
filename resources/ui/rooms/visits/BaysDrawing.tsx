import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';

const LEFT = 170;
const WIDE = 1080;
const ROW = 64;

/** Bays and days to scale: visits as brackets, free slots dashed, closed days shaded, a line at today. */
export function BaysDrawing({ room }: { room: Schemas['BaysView'] }) {
    const from = Date.parse(room.from);
    const x = (day: string, plus = 0) => LEFT + ((Date.parse(day) - from) / 864e5 + plus) * ((WIDE - LEFT) / room.days);
    const months = monthsOf(room.from, room.days);
    return (
        <svg
            viewBox={`0 0 ${WIDE} ${30 + room.bays.length * ROW}`}
            className="w-full rounded-lg border border-rule bg-sheet"
        >
            <title>Bays and days</title>
            {months.map((m) => (
                <g key={m.day}>
                    <line x1={x(m.day)} x2={x(m.day)} y1="0" y2={30 + room.bays.length * ROW} className="stroke-rule" />
                    <text x={x(m.day) + 5} y="19" className="fill-soft text-[13px]">
                        {m.name}
                    </text>
                </g>
            ))}
            <line
                x1={x(room.from, 7)}
                x2={x(room.from, 7)}
                y1="0"
                y2={30 + room.bays.length * ROW}
                className="stroke-ink"
                strokeWidth="2"
            />
            {room.bays.map((b, i) => (
                <g key={b.id} transform={`translate(0 ${30 + i * ROW})`}>
                    <line x1="0" x2={WIDE} y1="0" y2="0" className="stroke-rule" />
                    <text x="12" y="26" className="fill-ink text-[15px] font-semibold">
                        {b.name}
                    </text>
                    <text x="12" y="44" className="fill-soft text-[12px]">
                        {b.washes ? 'washes only, ' : ''}at most {b.people} people
                    </text>
                    {b.blocks.map((k) => {
                        const a = Math.max(LEFT, x(k.start));
                        const width = Math.max(6, x(k.end, 1) - a);
                        return (
                            <g key={k.id}>
                                <title>{titleOf(k)}</title>
                                <Shape of={k} from={a} width={width} />
                                <text
                                    x={a + width / 2}
                                    y={k.kind === 'closed' ? 14 : 36}
                                    textAnchor="middle"
                                    className="fill-ink stroke-sheet font-mono text-[11px] font-semibold [paint-order:stroke]"
                                    strokeWidth="4"
                                >
                                    {width > 38 ? (k.mark ?? (k.kind === 'closed' ? 'closed' : `${k.hours} h`)) : ''}
                                </text>
                            </g>
                        );
                    })}
                </g>
            ))}
        </svg>
    );
}

const titleOf = (k: Schemas['BayBlock']) =>
    k.kind === 'closed'
        ? `Closed ${short(k.start)} to ${short(k.end)}: ${k.title}`
        : `${k.mark ?? 'Free'} ${k.title}, ${short(k.start)} to ${short(k.end)}, ${k.hours} h ${k.note}`;

function Shape({ of, from, width }: { of: Schemas['BayBlock']; from: number; width: number }) {
    if (of.kind === 'closed') {
        return <rect x={from} width={width} y="6" height={ROW - 12} className="fill-shade stroke-rust" />;
    }
    if (of.kind === 'free') {
        return (
            <rect
                x={from}
                width={width}
                y="12"
                height={ROW - 24}
                rx="4"
                className="fill-none stroke-spruce"
                strokeWidth="2"
                strokeDasharray="6 4"
            />
        );
    }
    return (
        <path
            d={`M${from + 6} 10H${from}V${ROW - 10}H${from + 6}M${from + width - 6} 10H${from + width}V${ROW - 10}H${from + width - 6}M${from} ${ROW - 16}H${from + width}`}
            className={`fill-none ${of.kind === 'in_work' ? 'stroke-ink' : 'stroke-slate'}`}
            strokeWidth={of.kind === 'in_work' ? 3 : 2}
        />
    );
}

export function monthsOf(from: string, days: number): { day: string; name: string }[] {
    const out: { day: string; name: string }[] = [];
    for (let i = 0; i <= days; i++) {
        const d = new Date(Date.parse(from) + i * 864e5);
        if (d.getUTCDate() === 1) {
            out.push({
                day: d.toISOString().slice(0, 10),
                name: d.toLocaleDateString('en-GB', { month: 'long', timeZone: 'UTC' }),
            });
        }
    }
    return out;
}
