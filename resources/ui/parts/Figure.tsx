import type { Schemas } from '../api/client';

export type FigureMark = { at: [number, number]; says: string };

/** A drawing of one's own with its places marked: a number in a ring there, its word in the list beneath. */
export function Figure({
    figure: f,
    marks,
    onPick,
}: {
    figure: Schemas['FigureView'];
    marks: FigureMark[];
    /** Told where somebody touched it, across and down from 0 to 1. */
    onPick?: (at: [number, number]) => void;
}) {
    const r = Math.max(f.width, f.height) / 34;
    return (
        <figure className="mt-3 max-w-2xl" data-testid="figure">
            {/* biome-ignore lint/a11y/useKeyWithClickEvents: its places are entered in fields as well */}
            <svg
                viewBox={`0 0 ${f.width} ${f.height}`}
                role="img"
                aria-label={`${f.title}: ${marks.map((m, i) => `${i + 1} ${m.says}`).join(', ')}`}
                className={`max-h-[22rem] w-full rounded-lg border border-rule bg-[#fdfbf5] ${onPick ? 'cursor-crosshair' : ''}`}
                onClick={(e) => {
                    const box = e.currentTarget.getScreenCTM();
                    if (onPick && box) {
                        const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(box.inverse());
                        const part = (v: number, of: number) =>
                            Math.round(Math.min(1, Math.max(0, v / of)) * 1000) / 1000;
                        onPick([part(p.x, f.width), part(p.y, f.height)]);
                    }
                }}
            >
                <image href={f.src} width={f.width} height={f.height} />
                {marks.map((m, i) => (
                    <g
                        key={`${m.says}-${m.at.join()}`}
                        transform={`translate(${m.at[0] * f.width} ${m.at[1] * f.height})`}
                    >
                        <circle r={r} fill="white" stroke="#17262e" strokeWidth={r / 6} />
                        <text
                            textAnchor="middle"
                            dominantBaseline="central"
                            fontSize={r * 1.2}
                            fontWeight="700"
                            fill="#17262e"
                        >
                            {i + 1}
                        </text>
                    </g>
                ))}
            </svg>
            <figcaption className="mt-1">
                <span className="text-sm text-soft">
                    {f.code}, {f.title}
                </span>
                {marks.length > 0 && (
                    <ol className="mt-1 flex flex-wrap gap-x-5">
                        {marks.map((m, i) => (
                            <li key={`${m.says}-${m.at.join()}`}>
                                <b className="font-mono">{i + 1}</b> {m.says}
                            </li>
                        ))}
                    </ol>
                )}
            </figcaption>
        </figure>
    );
}
