import { stateColour } from '../../parts/State';

/** A fuse that shortens: thirty days are its full length. */
export function Fuse({ days, state }: { days: number | null; state: string }) {
    const left = Math.max(0, Math.min(30, days ?? 30)) / 30;
    return (
        <svg
            viewBox="0 0 200 12"
            preserveAspectRatio="xMinYMid meet"
            className={`my-1 h-3 w-full ${stateColour(state)}`}
            aria-hidden="true"
        >
            <line x1="0" x2="200" y1="6" y2="6" className="stroke-rule" strokeWidth="1" />
            <line x1="0" x2={left * 194} y1="6" y2="6" stroke="currentColor" strokeWidth="2" strokeDasharray="3 3" />
            <circle cx={left * 194 + 3} cy="6" r="3.5" fill="none" stroke="currentColor" strokeWidth="2" />
        </svg>
    );
}
