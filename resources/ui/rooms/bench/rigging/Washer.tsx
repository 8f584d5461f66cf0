import type { Schemas } from '../../../api/client';

/** Its two rings of serrations from the unit's end: the steps of each counted out, clockwise or against. */
export function Washer({ of }: { of: Schemas['WasherView'] }) {
    return (
        <figure className="mt-2 flex items-center gap-4" data-testid={`washer-${of.adjuster}`}>
            <svg
                viewBox="-100 -100 200 200"
                className="w-40 shrink-0"
                role="img"
                aria-label={of.said.join('; ') || 'stays'}
            >
                <Ring radius={88} teeth={of.leverTeeth} steps={of.leverSteps} />
                <Ring radius={60} teeth={of.unitTeeth} steps={of.unitSteps} />
                <circle r="12" fill="none" className="stroke-ink" strokeWidth="3" />
            </svg>
            <figcaption>
                {of.said.length === 0 ? (
                    <span className="text-soft">The washer stays as it is.</span>
                ) : (
                    <ol className="list-inside list-decimal">
                        {of.said.map((s) => (
                            <li key={s}>{s}</li>
                        ))}
                    </ol>
                )}
                <span className="block text-sm text-soft">
                    Inner ring: {of.unitTeeth} at the unit; outer: {of.leverTeeth} at the lever. {of.makes}
                </span>
            </figcaption>
        </figure>
    );
}

/** Every serration of a ring; those that are passed are thick, from the mark at the top to where it comes to. */
function Ring({ radius, teeth, steps }: { radius: number; teeth: number; steps: number }) {
    const passed = new Set(
        Array.from({ length: Math.abs(steps) + 1 }, (_, i) => (Math.sign(steps) * i + teeth) % teeth),
    );
    return (
        <g>
            <circle r={radius} fill="none" className="stroke-rule" strokeWidth="2" />
            {Array.from({ length: teeth }, (_, i) => {
                const on = passed.has(i);
                const end = i === (steps + teeth) % teeth;
                return (
                    <line
                        // biome-ignore lint/suspicious/noArrayIndexKey: serrations stay in their order
                        key={i}
                        y1={-radius + 4}
                        y2={-radius - (end ? 12 : on ? 8 : 4)}
                        className={on ? 'stroke-spruce' : 'stroke-soft'}
                        strokeWidth={on ? 4 : 1.5}
                        transform={`rotate(${(360 / teeth) * i})`}
                    />
                );
            })}
            <path
                d={`M0 ${-radius + 8}l5 9h-10z`}
                className={steps === 0 ? 'fill-soft' : 'fill-spruce'}
                transform={`rotate(${(360 / teeth) * steps})`}
            />
        </g>
    );
}
