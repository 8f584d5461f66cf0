import { useState } from 'react';
import { useCardTemplate } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Actions, Dialog } from '../../parts/Dialog';
import { Wait } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import type { Body, Step } from './card';

/** Steps of another card, put in after the one in hand. */
export function CopySteps({
    type,
    cards,
    onCopy,
    onClose,
}: {
    type: string;
    cards: string[];
    onCopy: (steps: Step[]) => void;
    onClose: () => void;
}) {
    const [code, setCode] = useState(cards[0]?.split(' ')[0] ?? '');
    return (
        <Dialog open onClose={onClose} title="Copy steps from another card" wide>
            <Pick label="Card" value={code} onChange={setCode}>
                {cards.map((c) => (
                    <option key={c} value={c.split(' ')[0]}>
                        {c}
                    </option>
                ))}
            </Pick>
            {code !== '' && <Steps key={code} type={type} code={code} onCopy={onCopy} />}
        </Dialog>
    );
}

function Steps({ type, code, onCopy }: { type: string; code: string; onCopy: (steps: Step[]) => void }) {
    const [chosen, setChosen] = useState<number[]>([]);
    return (
        <Wait query={useCardTemplate(type, code)}>
            {(room) => {
                const steps = ((room.inForce ?? room.draft) as unknown as Body | null)?.steps ?? [];
                return (
                    <>
                        <ol className="mt-3 max-h-80 overflow-auto">
                            {steps.map((s, i) => (
                                // biome-ignore lint/suspicious/noArrayIndexKey: the steps of a card in force do not move
                                <li key={i}>
                                    <label className="flex min-h-10 items-center gap-3 border-b border-rule/60">
                                        <input
                                            type="checkbox"
                                            className="size-6 accent-spruce"
                                            checked={chosen.includes(i)}
                                            onChange={(e) =>
                                                setChosen(
                                                    e.target.checked
                                                        ? [...chosen, i].sort((a, b) => a - b)
                                                        : chosen.filter((n) => n !== i),
                                                )
                                            }
                                        />
                                        <span className="font-mono text-sm">{i + 1}</span>
                                        <span className="text-sm text-soft">{s.kind.replace('_', ' ')}</span>
                                        {s.title}
                                    </label>
                                </li>
                            ))}
                        </ol>
                        <Actions>
                            <Button
                                kind="main"
                                big
                                disabled={chosen.length === 0}
                                onClick={() =>
                                    onCopy(chosen.flatMap((i) => (steps[i] ? [structuredClone(steps[i])] : [])))
                                }
                            >
                                Copy {chosen.length} {chosen.length === 1 ? 'step' : 'steps'}
                            </Button>
                        </Actions>
                    </>
                );
            }}
        </Wait>
    );
}
