import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { PickKey } from '../../../parts/PickKey';
import { type StepProps, useStep } from '../useStep';
import { Kept } from './Kept';
import { Keys } from './Keys';

type Spec = { items: { id: string; title: string }[] };

/** Which moved first, second, third: touched in that order; two that move together are touched as such. */
export function SequenceStep({ card, step, onWrong, onConflict }: StepProps) {
    const { items } = step.spec as unknown as Spec;
    const send = useStep({ card, step, onConflict });
    const [order, setOrder] = useState<string[][]>([]);
    const [together, setTogether] = useState(false);
    const placeOf = (id: string) => order.findIndex((g) => g.includes(id)) + 1;
    const touch = (id: string) => {
        if (placeOf(id) > 0) {
            setOrder((o) => o.slice(0, placeOf(id) - 1));
            return;
        }
        setOrder((o) => (together && o.length > 0 ? [...o.slice(0, -1), [...(o.at(-1) ?? []), id]] : [...o, [id]]));
        setTogether(false);
    };
    const full = items.every((i) => placeOf(i.id) > 0);
    const save = () =>
        send.mutate({ do: 'order', entries: Object.fromEntries(items.map((i) => [i.id, String(placeOf(i.id))])) });
    return (
        <>
            <p className="mt-3 text-soft">Touch them in the order in which they moved.</p>
            <div className="mt-3 grid max-w-2xl grid-cols-2 gap-3">
                {items.map((i) => {
                    const at = placeOf(i.id);
                    return (
                        <PickKey
                            key={i.id}
                            picked={at > 0}
                            onClick={() => touch(i.id)}
                            className="flex min-h-16 items-center justify-between px-4 text-[1.15rem]"
                        >
                            {i.title}
                            <span className="font-mono text-[1.5rem]">{at > 0 ? `${at}.` : ''}</span>
                        </PickKey>
                    );
                })}
            </div>
            <div className="mt-3 flex gap-3">
                <Button
                    aria-pressed={together}
                    disabled={order.length === 0 || full}
                    onClick={() => setTogether(!together)}
                >
                    {together ? 'The next moves with the last' : 'Next: together with the last'}
                </Button>
                <Button disabled={order.length === 0} onClick={() => setOrder([])}>
                    Begin again
                </Button>
            </div>
            {step.result.verdict === 'fail' && <Kept>Kept: {String(step.result.said)}.</Kept>}
            <Keys send={send} says="Save the order" ready={full} onSave={save} onWrong={onWrong} />
        </>
    );
}
