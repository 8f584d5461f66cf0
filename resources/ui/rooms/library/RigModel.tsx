import { useState } from 'react';
import { Linkage } from '../bench/rigging/Linkage';
import type { Drawing } from '../bench/rigging/linkage';
import type { Adjuster, Point } from '../bench/rigging/model';
import { Wrong } from './CardText';
import type { Setter } from './SpecInputs';

type Spec = { points?: Point[]; adjusters?: Adjuster[]; drawing?: Drawing };

/** The drawing of a linkage as it is written, drawn at once; each point can be moved to see what it does. */
export function RigModel({
    spec,
    fault,
    set,
}: {
    spec: Record<string, unknown>;
    fault: string | undefined;
    set: Setter;
}) {
    const { points = [], adjusters = [], drawing } = spec as Spec;
    const [text, setText] = useState(() => (drawing === undefined ? '' : JSON.stringify(drawing, null, 1)));
    const [wrong, setWrong] = useState<string>();
    const [read, setRead] = useState<Record<string, number>>({});
    const named = points.filter((p) => p.id && typeof p.min === 'number' && typeof p.max === 'number');
    const at = Object.fromEntries(named.map((p) => [p.id, read[p.id] ?? (p.min + p.max) / 2]));
    const write = (next: string) => {
        setText(next);
        if (next.trim() === '') {
            setWrong(undefined);
            set('drawing', undefined, true);
            return;
        }
        try {
            set('drawing', JSON.parse(next), true);
            setWrong(undefined);
        } catch (e) {
            setWrong(`It is no JSON yet: ${e instanceof Error ? e.message : ''}`);
        }
    };
    return (
        <details open={drawing !== undefined}>
            <summary className="min-h-10 cursor-pointer py-2 font-semibold">The linkage, drawn</summary>
            {Array.isArray(drawing?.parts) && (
                <>
                    <Linkage
                        drawing={drawing}
                        points={named}
                        adjusters={adjusters}
                        read={at}
                        next={{}}
                        outside={new Set()}
                        turned={{}}
                        advised={{}}
                    />
                    <div className="mt-2">
                        {named.map((p) => {
                            const span = Math.max(1, 3 * (p.max - p.min));
                            return (
                                <label key={p.id} className="flex min-h-10 items-center gap-3 text-sm">
                                    <span className="flex-1">{p.title}</span>
                                    <input
                                        type="range"
                                        min={p.min - span}
                                        max={p.max + span}
                                        step={(p.max - p.min) / 20}
                                        value={at[p.id]}
                                        onChange={(e) => setRead((r) => ({ ...r, [p.id]: Number(e.target.value) }))}
                                        className="accent-spruce"
                                    />
                                </label>
                            );
                        })}
                    </div>
                </>
            )}
            <textarea
                aria-label="The drawing, as JSON"
                spellCheck={false}
                value={text}
                placeholder={'{"width": 760, "height": 330, "parts": [{"kind": "lever", "at": [190, 220], …}]}'}
                onChange={(e) => write(e.target.value)}
                className="mt-2 h-48 w-full rounded-lg border-2 border-soft bg-sheet p-2 font-mono text-[13px]"
            />
            <Wrong fault={wrong ?? fault} />
        </details>
    );
}
