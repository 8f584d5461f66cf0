import type { Schemas } from '../../api/client';

const WIDTH = 640;
const LEFT = 150;
const ROW = 30;

/**
 * Every limit of a clock from the day of its discovery: as long as it may be carried, with today, and which ends first.
 */
export function ClockDrawing({ drivers, label }: { drivers: Schemas['DriverView'][]; label: string }) {
    const now = drivers[0]?.now ?? 0;
    const far = Math.max(now + 1, ...drivers.map((d) => d.to ?? 0));
    const x = (day: number) => LEFT + (day / far) * (WIDTH - LEFT - 110);
    const height = drivers.length * ROW + 26;
    return (
        <svg viewBox={`0 0 ${WIDTH} ${height}`} className="w-full max-w-2xl" role="img" aria-label={label}>
            {drivers.map((d, i) => {
                const y = 24 + i * ROW;
                const end = x(d.to ?? far);
                return (
                    <g key={d.name} className={d.drives ? 'text-ink' : 'text-soft'}>
                        <text x="0" y={y + 5} className="fill-current text-[13px]" fontWeight={d.drives ? 700 : 400}>
                            {d.allowed}
                        </text>
                        <line x1={LEFT} x2={end} y1={y} y2={y} stroke="currentColor" strokeWidth={d.drives ? 5 : 2} />
                        <line x1={end} x2={end} y1={y - 8} y2={y + 8} stroke="currentColor" strokeWidth="2" />
                        <text
                            x={end + 6}
                            y={y + 5}
                            className="fill-current text-[13px]"
                            fontWeight={d.drives ? 700 : 400}
                        >
                            {d.said}
                        </text>
                    </g>
                );
            })}
            <line
                x1={x(now)}
                x2={x(now)}
                y1="10"
                y2={height - 6}
                className="stroke-spruce"
                strokeWidth="2"
                strokeDasharray="4 3"
            />
            <text x={x(now)} y="8" textAnchor="middle" className="fill-spruce text-[11px] font-semibold">
                today
            </text>
        </svg>
    );
}
