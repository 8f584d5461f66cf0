import type { Schemas } from '../api/client';
import { halves } from './scale';

/** The fleet sorted by hours left, over its straight line; each drop is how far it is off. */
export function StaggerLine({ fleet }: { fleet: Schemas['StaggerView'] }) {
    const n = fleet.rows.length;
    const top = Math.max(fleet.interval, ...fleet.rows.map((r) => r.left));
    const x = (i: number) => 70 + ((i + 0.5) / n) * 860;
    const y = (h: number) => 180 - (Math.max(0, h) / top) * 160;
    return (
        <svg
            viewBox="0 0 960 214"
            className="w-full max-w-5xl"
            role="img"
            aria-label={`${fleet.name}: hours left to the next phase against the straight line`}
        >
            {[0, 0.5, 1].map((part) => (
                <g key={part}>
                    <line
                        x1="70"
                        x2="930"
                        y1={y(fleet.interval * part)}
                        y2={y(fleet.interval * part)}
                        className="stroke-rule"
                    />
                    <text
                        x="62"
                        y={y(fleet.interval * part) + 4}
                        textAnchor="end"
                        className="fill-soft font-mono text-[13px]"
                    >
                        {halves(fleet.interval * part)} h
                    </text>
                </g>
            ))}
            <line x1="70" x2="930" y1={y(fleet.interval)} y2={y(0)} className="stroke-ink" strokeWidth="2" />
            {fleet.rows.map((r, i) => (
                <g key={r.mark} className={r.state === 'clear' ? 'text-spruce' : 'text-ochre'}>
                    <title>{`${r.mark}: ${halves(r.left)} h left, ${halves(Math.abs(r.distance))} h ${r.distance > 0 ? 'above' : 'below'} the line`}</title>
                    <line
                        x1={x(i)}
                        x2={x(i)}
                        y1={y(r.left)}
                        y2={y(r.target)}
                        stroke="currentColor"
                        strokeWidth="3"
                        strokeDasharray="4 3"
                    />
                    {r.state === 'clear' ? (
                        <circle
                            cx={x(i)}
                            cy={y(r.left)}
                            r="6.5"
                            className="fill-paper"
                            stroke="currentColor"
                            strokeWidth="2.5"
                        />
                    ) : (
                        <>
                            <path
                                d={`M${x(i)} ${y(r.left) - 9}l9 9-9 9-9-9Z`}
                                className="fill-paper"
                                stroke="currentColor"
                                strokeWidth="2"
                            />
                            <path d={`M${x(i) - 9} ${y(r.left)}h18l-9 9Z`} fill="currentColor" />
                        </>
                    )}
                    <text x={x(i)} y="204" textAnchor="middle" className="fill-ink font-mono text-[14px] font-bold">
                        {r.mark}
                    </text>
                </g>
            ))}
        </svg>
    );
}
