import type { Piece } from './Manual';

/** Old text beside new, what went struck, what came underlined. */
export function Beside({ pieces, old, now }: { pieces: Piece[]; old: string; now: string }) {
    const side = (title: string, leave: string) => (
        <div className="rounded-lg border border-rule bg-paper p-3">
            <p className="mb-1 text-sm text-soft">{title}</p>
            <p className="leading-relaxed whitespace-pre-wrap">
                {pieces
                    .filter((p) => p.kind !== leave)
                    .map((p, i) =>
                        p.kind === 'same' ? (
                            // biome-ignore lint/suspicious/noArrayIndexKey: pieces of one comparison never move
                            <span key={i}>{p.text}</span>
                        ) : p.kind === 'gone' ? (
                            // biome-ignore lint/suspicious/noArrayIndexKey: as above
                            <del key={i} className="bg-rust-wash decoration-rust decoration-2">
                                {p.text}
                            </del>
                        ) : (
                            <ins
                                // biome-ignore lint/suspicious/noArrayIndexKey: as above
                                key={i}
                                className="bg-shade font-semibold decoration-spruce decoration-2 underline-offset-4"
                            >
                                {p.text}
                            </ins>
                        ),
                    )}
                {pieces.every((p) => p.kind === leave) && <i className="text-soft">nothing</i>}
            </p>
        </div>
    );
    return (
        <div className="mt-2 grid grid-cols-2 gap-3 max-[800px]:grid-cols-1">
            {side(old, 'new')}
            {side(now, 'gone')}
        </div>
    );
}

/** The steps of a method, as they stand on a card. */
export function Steps({ title, steps }: { title: string; steps: string[] }) {
    return (
        <div className="rounded-lg border border-rule bg-sheet p-3">
            <p className="mb-1 font-semibold">
                {title}, {steps.length} steps
            </p>
            <ol className="list-decimal space-y-1 pl-5 text-sm">
                {steps.map((s) => (
                    <li key={s}>{s}</li>
                ))}
            </ol>
        </div>
    );
}
