import type { Card } from './BoardDrawing';
import { clipped, LANE, outline } from './board';

export function Mark({
    at,
    words,
    height,
    side,
    dashed,
}: {
    at: number;
    words: string;
    height: number;
    side: number;
    dashed?: boolean;
}) {
    const left = at > side - 190;
    return (
        <g className="pointer-events-none">
            <line
                x1={at}
                x2={at}
                y1="18"
                y2={height}
                className={dashed ? 'stroke-rust' : 'stroke-spruce'}
                strokeWidth="2"
                strokeDasharray={dashed ? '5 4' : undefined}
            />
            <text
                x={left ? at - 6 : at + 6}
                y={height - (dashed ? 6 : 22)}
                textAnchor={left ? 'end' : 'start'}
                className={`text-[12.5px] font-semibold ${dashed ? 'fill-rust' : 'fill-spruce'}`}
            >
                {words}
            </text>
        </g>
    );
}

/** A card: closed ones filled, those in work with a heavy left edge, late ones notched; pointed when they decide the exit. */
export function Block({
    card,
    x,
    y,
    width,
    chosen,
    moved,
}: {
    card: Card;
    x: number;
    y: number;
    width: number;
    chosen: boolean;
    moved: boolean;
}) {
    const closed = card.state === 'closed' || card.state === 'signed';
    const short = card.lacks.length > 0;
    const number = card.number.split('-')[1] ?? '';
    const words = clipped(`${number} ${card.title}`, width - (short || card.late ? 30 : 18));
    return (
        <>
            <title>{`${card.number} ${card.title}\n${card.when}\n${card.people}${card.slack ? `\n${card.slack}` : ''}${short ? `\n${card.lacks.join('\n')}` : ''}`}</title>
            <path
                d={outline(x, y, width, LANE, card.onChain)}
                className={`${closed ? 'fill-shade stroke-soft' : card.state === 'in_work' ? 'fill-spruce-wash stroke-spruce' : card.onChain ? 'fill-sheet stroke-ink' : 'fill-sheet stroke-soft'}`}
                strokeWidth={chosen ? 3 : card.onChain ? 2 : 1.2}
            />
            {card.state === 'in_work' && (
                <rect x={x} y={y} width={Math.min(5, width)} height={LANE} className="fill-spruce" />
            )}
            {moved && <path d={`M${x} ${y + LANE + 1.5}H${x + width}`} className="stroke-ochre" strokeWidth="3" />}
            {(short || card.late) && words !== '' && (
                <path
                    d={`M${x + 7} ${y + 7}h10v3.5h-4v3h4v3.5h-10Z`}
                    className={card.late ? 'fill-rust' : 'fill-ochre'}
                />
            )}
            {words === '' ? (
                // Too narrow for words: its number alone, upright where that is all there is room for.
                width > 7 && (
                    <text
                        x={x + width / 2}
                        y={y + LANE / 2 + 3}
                        textAnchor="middle"
                        transform={width > 20 ? undefined : `rotate(-90 ${x + width / 2} ${y + LANE / 2})`}
                        className={`pointer-events-none font-mono text-[9.5px] ${closed ? 'fill-soft' : 'fill-ink'}`}
                    >
                        {number}
                    </text>
                )
            ) : (
                <text
                    x={x + (short || card.late ? 22 : 9)}
                    y={y + 16.5}
                    className={`text-[12.5px] ${closed ? 'fill-soft' : 'fill-ink'}`}
                >
                    {words}
                </text>
            )}
        </>
    );
}
