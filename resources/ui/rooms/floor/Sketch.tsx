import { useRef, useState } from 'react';
import { Button } from '../../parts/Button';

export type Strokes = number[][][];

/** Strokes as one line, 0 to 1 across and down. */
export const strokes = (lines: Strokes, w: number, h: number): string =>
    lines
        .map(
            (l) =>
                l
                    .map(([x = 0, y = 0], i) => `${i === 0 ? 'M' : 'L'}${(x * w).toFixed(1)} ${(y * h).toFixed(1)}`)
                    .join('') + (l.length === 1 ? 'h0.1' : ''),
        )
        .join('');

/** A sketch drawn with a finger or a pointer; what was drawn last can be taken back. */
export function Sketch({ value, onChange }: { value: Strokes; onChange: (v: Strokes) => void }) {
    const sheet = useRef<SVGSVGElement>(null);
    const [line, setLine] = useState<number[][] | null>(null);
    const at = (e: React.PointerEvent): number[] => {
        const box = sheet.current?.getBoundingClientRect();
        const clamp = (v: number) => Math.round(Math.max(0, Math.min(1, v)) * 1000) / 1000;
        return box ? [clamp((e.clientX - box.left) / box.width), clamp((e.clientY - box.top) / box.height)] : [0, 0];
    };
    return (
        <div>
            <svg
                ref={sheet}
                viewBox="0 0 400 200"
                role="img"
                aria-label={`Sketch, ${value.length} strokes`}
                data-testid="sketch"
                className="w-full touch-none rounded-lg border-2 border-soft bg-sheet"
                onPointerDown={(e) => {
                    e.currentTarget.setPointerCapture(e.pointerId);
                    setLine([at(e)]);
                }}
                onPointerMove={(e) => line && line.length < 600 && setLine([...line, at(e)])}
                onPointerUp={() => {
                    if (line) {
                        onChange([...value, line].slice(0, 200));
                    }
                    setLine(null);
                }}
            >
                {[100, 200, 300].map((x) => (
                    <line key={x} x1={x} x2={x} y1="0" y2="200" className="stroke-rule" strokeWidth="0.5" />
                ))}
                <line x1="0" x2="400" y1="100" y2="100" className="stroke-rule" strokeWidth="0.5" />
                <path
                    d={strokes(line ? [...value, line] : value, 400, 200)}
                    className="fill-none stroke-ink"
                    strokeWidth="2.5"
                    strokeLinecap="round"
                    strokeLinejoin="round"
                />
            </svg>
            {value.length > 0 && (
                <span className="mt-1 flex gap-2">
                    <Button onClick={() => onChange(value.slice(0, -1))}>Take the last stroke back</Button>
                    <Button kind="quiet" onClick={() => onChange([])}>
                        Blank sheet
                    </Button>
                </span>
            )}
        </div>
    );
}
