import { short } from '../../../parts/dates';
import type { Block } from './laid';

const looks: Record<string, string> = {
    clear: 'fill-spruce-wash stroke-spruce',
    watch: 'fill-ochre-wash stroke-ochre',
    stop: 'fill-rust-wash stroke-rust',
};

interface Props {
    block: Block;
    said: string;
    x: number;
    y: number;
    width: number;
    high: number;
    chosen: boolean;
    onPointerDown: (e: React.PointerEvent, longer: boolean) => void;
    onKeyDown: (e: React.KeyboardEvent) => void;
}

/** A visit: outlined when it is kept, dashed while it is new or moved, barred at its foot while it goes on. */
export function SeasonBlockMark({ block, said, x, y, width, high, chosen, onPointerDown, onKeyDown }: Props) {
    const name = `${block.mark} ${block.title}, ${short(block.start)} to ${short(block.end)}, ${block.hours} h`;
    return (
        // biome-ignore lint/a11y/useSemanticElements: a block of a drawing cannot be a button element
        <g
            role="button"
            tabIndex={0}
            aria-label={`${name}${block.problems.length > 0 ? `, does not hold: ${block.problems[0]}` : ''}`}
            aria-pressed={chosen}
            data-visit={block.id}
            data-mark={block.mark}
            data-state={block.state}
            className={`${block.stands ? 'cursor-pointer' : 'cursor-grab'} ${block.gone ? 'opacity-35' : ''}`}
            onPointerDown={(e) => onPointerDown(e, false)}
            onKeyDown={onKeyDown}
        >
            <title>{[name, ...block.problems, ...block.notes].join('\n')}</title>
            <rect
                x={x + 0.5}
                y={y}
                width={width - 1}
                height={high}
                rx="3"
                className={looks[block.state] ?? looks.clear}
                strokeWidth={chosen ? 3.5 : 1.6}
                strokeDasharray={block.changed ? '4 2.5' : undefined}
            />
            {block.stands && <rect x={x + 1} y={y + high - 4} width={width - 2} height="4" className="fill-ink" />}
            {block.pinned && !block.stands && <circle cx={x + 4.5} cy={y + 4.5} r="2.6" className="fill-ink" />}
            {width > said.length * 7 + 6 && (
                <text
                    x={x + width / 2}
                    y={y + high / 2 + 4}
                    textAnchor="middle"
                    className="pointer-events-none fill-ink font-mono text-[11px] font-semibold"
                >
                    {said}
                </text>
            )}
            {!block.stands && width > 16 && (
                <rect
                    x={x + width - 6}
                    y={y}
                    width="6"
                    height={high}
                    className="cursor-ew-resize fill-transparent"
                    onPointerDown={(e) => {
                        e.stopPropagation();
                        onPointerDown(e, true);
                    }}
                />
            )}
        </g>
    );
}
