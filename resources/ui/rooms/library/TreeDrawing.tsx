import type { Schemas } from '../../api/client';

type Node = Schemas['TreeNodeView'];

const WIDE = 216;
const HIGH = 84;
const GAP_X = 28;
/** Between a question and what comes next: first its answers, then the lines. */
const LABELS = 52;
const GAP_Y = LABELS + 44;

const asks: Record<string, string> = {
    answer: 'look',
    measure: 'measure',
    card: 'card',
    test: 'repeat the test',
    end: 'ask',
};

/** A fault tree: questions as sheets, answers as lines to what comes next, the way taken drawn strong. */
export function TreeDrawing({ nodes }: { nodes: Node[] }) {
    if (nodes.length === 0) {
        return null;
    }
    const across = Math.max(...nodes.map((n) => n.across)) + 1;
    const down = Math.max(...nodes.map((n) => n.down)) + 1;
    const many = (d: number) => nodes.filter((n) => n.down === d).length;
    const left = (n: Node) => ((across - many(n.down)) / 2 + n.across) * (WIDE + GAP_X) + 8;
    const top = (n: Node) => n.down * (HIGH + GAP_Y) + 8;
    const byId = new Map(nodes.map((n) => [n.id, n]));
    const w = across * (WIDE + GAP_X) + 90;
    const h = down * (HIGH + GAP_Y) - 20;
    return (
        <svg
            viewBox={`0 0 ${w} ${h}`}
            style={{ width: w, maxWidth: 'none', height: h }}
            role="img"
            aria-label={`Fault tree, ${nodes.length} questions`}
            data-testid="tree"
        >
            <title>Fault tree</title>
            {nodes.flatMap((n) =>
                n.branches.map((b, i) => {
                    const x0 = left(n) + ((i + 0.5) * WIDE) / n.branches.length;
                    const y0 = top(n) + HIGH + LABELS;
                    const to = b.to === null ? undefined : byId.get(b.to);
                    const strong = b.taken ? 'stroke-ink' : 'stroke-soft';
                    if (to === undefined) {
                        return (
                            // It ends here: a foot under it.
                            <path
                                key={`${n.id}-${b.id}`}
                                d={`M${x0} ${y0}v10m-10 0h20`}
                                fill="none"
                                className={strong}
                                strokeWidth={b.taken ? 4 : 1.5}
                            />
                        );
                    }
                    const back = to.down <= n.down;
                    const x1 = left(to) + WIDE / 2;
                    const y1 = top(to);
                    // One that leads back goes round by the right edge, to the side of the question.
                    const edge = w - 20;
                    const side = y1 + HIGH / 2;
                    const d = back
                        ? `M${x0} ${y0}C${x0} ${y0 + 40} ${edge} ${y0 + 40} ${edge} ${(y0 + y1) / 2}` +
                          `S${edge} ${side} ${left(to) + WIDE} ${side}`
                        : `M${x0} ${y0}C${x0} ${y0 + 26} ${x1} ${y1 - 26} ${x1} ${y1}`;
                    return (
                        <path
                            key={`${n.id}-${b.id}`}
                            d={d}
                            fill="none"
                            className={strong}
                            strokeWidth={b.taken ? 4 : 1.5}
                            strokeDasharray={back ? '5 5' : undefined}
                        />
                    );
                }),
            )}
            {nodes.map((n) => (
                <foreignObject key={n.id} x={left(n)} y={top(n)} width={WIDE} height={HIGH + LABELS}>
                    <Sheet node={n} />
                </foreignObject>
            ))}
        </svg>
    );
}

function Sheet({ node: n }: { node: Node }) {
    const look =
        n.state === 'here'
            ? 'border-[3px] border-spruce bg-spruce-wash'
            : n.state === 'past'
              ? 'border-2 border-ink bg-sheet'
              : 'border border-soft bg-paper';
    return (
        <div>
            <div
                className={`flex h-[84px] flex-col overflow-hidden rounded-lg px-2.5 py-1.5 leading-tight ${look} ${
                    n.ask === 'end' ? 'border-dashed' : ''
                }`}
            >
                <span className="text-[11px] text-soft">
                    {asks[n.ask] ?? n.ask}
                    {n.card && `: ${n.card}`}
                    {n.state === 'here' && ' · now'}
                </span>
                <b className="text-[14px]">{n.title}</b>
                <span className="overflow-hidden text-[12px] text-soft">{n.whom ? `Ask ${n.whom}` : n.text}</span>
            </div>
            <div
                className="grid h-[52px] gap-1 overflow-hidden pt-0.5 text-center text-[11.5px] leading-tight"
                style={{ gridTemplateColumns: `repeat(${Math.max(1, n.branches.length)}, minmax(0, 1fr))` }}
            >
                {n.branches.map((b) => (
                    <span key={b.id} className={`px-0.5 ${b.taken ? 'font-bold text-ink' : 'text-soft'}`}>
                        {b.title}
                        {b.cause && <span className="block text-rust">{b.cause}</span>}
                        {b.times !== null && b.times > 0 && <span className="block font-mono">{b.times} × here</span>}
                    </span>
                ))}
            </div>
        </div>
    );
}
