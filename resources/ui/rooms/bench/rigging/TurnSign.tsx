/** Which way: an arrow round a screw head, or along a rod. */
export function TurnSign({ direction }: { direction: string }) {
    const round = direction === 'cw' || direction === 'ccw';
    return (
        <svg viewBox="0 0 44 44" className="size-11" aria-hidden="true">
            {round ? (
                <g transform={direction === 'ccw' ? 'matrix(-1 0 0 1 44 0)' : undefined}>
                    <circle cx="22" cy="22" r="10" fill="none" className="stroke-ink" strokeWidth="2" />
                    <path d="M16 28 28 16" className="stroke-ink" strokeWidth="3" />
                    <path d="M22 4a18 18 0 0 1 17 12" fill="none" className="stroke-spruce" strokeWidth="3" />
                    <path d="M43 13l-3 8-7-5z" className="fill-spruce" />
                </g>
            ) : (
                <g>
                    <path d="M12 22h20" className="stroke-ink" strokeWidth="6" />
                    {direction === 'lengthen' || direction === 'raise' ? (
                        <path d="M10 14 2 22l8 8M34 14l8 8-8 8" fill="none" className="stroke-spruce" strokeWidth="3" />
                    ) : (
                        <path d="M2 14l8 8-8 8M42 14l-8 8 8 8" fill="none" className="stroke-spruce" strokeWidth="3" />
                    )}
                </g>
            )}
        </svg>
    );
}
