import type { FormEvent } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Entry } from '../../parts/Entry';
import { useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';

/** Tools, rags and small things out on the card. */
export function CardOut({ card }: { card: Schemas['CardView'] }) {
    const { values, set, bind } = useFields({ what: 'rags', many: '' });
    const take1 = useSend(
        (body: { what: string; quantity: number }, headers) =>
            take(api.POST('/api/cards/{id}/loans', { params: { path: { id: card.id } }, body, headers })),
        () => set({ many: '' }),
        { affects: touches.loans },
    );
    const mayTake = card.may.includes('work') && (card.state === 'open' || card.state === 'in_work');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        take1.mutate({ what: values.what, quantity: Number(values.many) });
    };
    if (!mayTake && card.loans.length === 0) {
        return null;
    }
    return (
        <>
            <h2 className="mt-5 font-semibold">Out on this card</h2>
            {card.loans.length === 0 && (
                <p className="mt-1 text-sm text-soft">No tool, no rag. A tool goes out with its first reading.</p>
            )}
            <ul className="mt-1 divide-y divide-rule">
                {card.loans.map((l) => (
                    <li key={l.id} className="py-1.5" data-loan={l.what}>
                        {l.quantity > 1 && <b className="font-mono">{l.quantity} </b>}
                        {l.what}{' '}
                        <span className="block text-sm text-soft">
                            since {l.since}, {l.by}
                        </span>
                    </li>
                ))}
            </ul>
            {mayTake && (
                <form onSubmit={submit} className="mt-2 flex gap-2">
                    <Entry aria-label="Small things taken out" className="min-w-0 flex-1" {...bind('what')} />
                    <Entry
                        aria-label="How many"
                        inputMode="numeric"
                        placeholder="0"
                        className="w-16 text-right font-mono"
                        {...bind('many')}
                    />
                    <Button
                        type="submit"
                        className="min-h-12"
                        disabled={take1.isPending || !/^[1-9]\d*$/.test(values.many)}
                    >
                        Out
                    </Button>
                </form>
            )}
            <Trouble error={take1.error} />
        </>
    );
}
