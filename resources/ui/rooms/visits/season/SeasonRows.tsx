import { monthsOf } from '../BaysDrawing';
import type { Season } from './laid';
import { dayWide, HEAD, LEFT, type Row, WIDE, xOf } from './scale';

/** Weekends, months, and the Mondays' dates. */
export function Days({ season, bottom }: { season: Season; bottom: number }) {
    const from = Date.parse(season.from);
    const wide = dayWide(season.days);
    const all = Array.from({ length: season.days }, (_, n) => ({ n, of: new Date(from + n * 864e5) }));
    return (
        <>
            {all
                .filter(({ of }) => of.getUTCDay() === 0 || of.getUTCDay() === 6)
                .map(({ n }) => (
                    <rect
                        key={n}
                        x={xOf(n, season.days)}
                        width={wide}
                        y={HEAD}
                        height={bottom - HEAD}
                        className="fill-shade opacity-60"
                    />
                ))}
            {monthsOf(season.from, season.days).map((m) => {
                const x = xOf((Date.parse(m.day) - from) / 864e5, season.days);
                return (
                    <g key={m.day}>
                        <line x1={x} x2={x} y1="0" y2={bottom} className="stroke-soft" />
                        {x < WIDE - 70 && (
                            <text x={x + 5} y="14" className="fill-ink text-[13px] font-semibold">
                                {m.name}
                            </text>
                        )}
                    </g>
                );
            })}
            {all
                .filter(({ of }) => of.getUTCDay() === 1)
                .map(({ n, of }) => (
                    <text key={n} x={xOf(n, season.days) + 2} y={HEAD - 7} className="fill-soft font-mono text-[11px]">
                        {of.getUTCDate()}
                    </text>
                ))}
        </>
    );
}

/** A row with its name, what is flown or worked in it, and the days on which it is closed. */
export function RowOf({
    row,
    season,
    reading,
    children,
}: {
    row: Row;
    season: Season;
    reading: 'aircraft' | 'bays';
    children: React.ReactNode;
}) {
    const bay = reading === 'bays' ? season.bays.find((b) => b.id === row.id) : undefined;
    const craft = reading === 'aircraft' ? season.aircraft.find((a) => a.mark === row.id) : undefined;
    const stands = craft && season.standing.includes(craft.mark);
    const wide = dayWide(season.days);
    return (
        <g>
            <line x1="0" x2={WIDE} y1={row.top} y2={row.top} className="stroke-rule" />
            <text
                x="10"
                y={row.top + 17}
                className={`text-[14px] font-semibold ${stands ? 'fill-rust' : 'fill-ink'} ${craft ? 'font-mono' : ''}`}
            >
                {row.name}
                {stands && ' stands'}
            </text>
            <text
                x={craft ? LEFT - 8 : 10}
                y={row.top + (craft ? 17 : 33)}
                textAnchor={craft ? 'end' : 'start'}
                className="fill-soft text-[11px]"
            >
                {craft ? craft.type : row.under}
            </text>
            {craft?.flies.map((n) => (
                <circle
                    key={n}
                    cx={xOf(n, season.days) + wide / 2}
                    cy={row.top + row.high - 3}
                    r="1.8"
                    className="fill-slate"
                >
                    <title>Flights are planned</title>
                </circle>
            ))}
            {bay?.closed.map((c) => (
                <g key={c.id}>
                    <title>{`Closed: ${c.why}`}</title>
                    <rect
                        x={xOf(c.from, season.days)}
                        width={Math.max(2, xOf(c.to + 1, season.days) - xOf(c.from, season.days))}
                        y={row.top + 1}
                        height={row.high - 2}
                        className="fill-rust-wash stroke-rust"
                        strokeDasharray="3 3"
                    />
                    <text
                        x={xOf(c.from, season.days) + 4}
                        y={row.top + row.high - 6}
                        className="fill-rust text-[11px] font-semibold"
                    >
                        closed
                    </text>
                </g>
            ))}
            {bay?.worked.map((h, n) => {
                const share = Math.min(1, h / Math.max(1, bay.hours[n] ?? 1));
                return h > 0 ? (
                    <rect
                        // biome-ignore lint/suspicious/noArrayIndexKey: a day is known by its number alone
                        key={n}
                        x={xOf(n, season.days) + 1}
                        width={Math.max(1, wide - 2)}
                        y={row.top + row.high - 1 - 5 * share}
                        height={5 * share}
                        className="fill-slate opacity-60"
                    >
                        <title>{`${h} of ${bay.hours[n]} h worked`}</title>
                    </rect>
                ) : null;
            })}
            {children}
        </g>
    );
}
