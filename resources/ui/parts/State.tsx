type StateName = 'clear' | 'watch' | 'stop' | 'waiting';

const colours: Record<StateName, string> = {
    clear: 'text-spruce',
    watch: 'text-ochre',
    stop: 'text-rust',
    waiting: 'text-slate',
};

export const stateColour = (state: string): string => colours[state as StateName] ?? 'text-soft';

/** The four states, by shape first: open ring, half-filled lozenge, solid block with a notch, dashed ring. */
export function Glyph({ state, size = 16 }: { state: string; size?: number }) {
    return (
        <svg
            width={size}
            height={size}
            viewBox="0 0 16 16"
            className={`inline-block shrink-0 align-[-2px] ${stateColour(state)}`}
            aria-hidden="true"
        >
            {state === 'clear' && <circle cx="8" cy="8" r="5.5" fill="none" stroke="currentColor" strokeWidth="2" />}
            {state === 'waiting' && (
                <circle
                    cx="8"
                    cy="8"
                    r="5.5"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2"
                    strokeDasharray="3 2.2"
                />
            )}
            {state === 'watch' && (
                <>
                    <path d="M8 1 15 8 8 15 1 8Z" fill="none" stroke="currentColor" strokeWidth="1.8" />
                    <path d="M1 8h14L8 15Z" fill="currentColor" />
                </>
            )}
            {state === 'stop' && <path d="M2 2h12v4H9v4h5v4H2Z" fill="currentColor" />}
        </svg>
    );
}

/** A state with its word; never a shape or a colour alone. */
export function State({ state, word }: { state: string; word?: string }) {
    return (
        <span className={`whitespace-nowrap font-semibold ${stateColour(state)}`}>
            <Glyph state={state} /> <span className="ml-0.5">{word ?? state}</span>
        </span>
    );
}
