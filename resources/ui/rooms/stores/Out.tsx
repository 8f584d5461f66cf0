import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend, useStores } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Tabs } from '../../parts/Tabs';
import { storeTabs } from './tabs';

/** Tools, rags and small things that are out, and counted in here. */
export function Out() {
    return (
        <Wait query={useStores()}>
            {(room) => (
                <Page over={<Tabs label="Stores" tabs={storeTabs} />} sentence={room.outSentence}>
                    <ul className="divide-y divide-rule">
                        {room.out.map((l) => (
                            <Loan key={l.id} loan={l} may={room.may.includes('count')} />
                        ))}
                    </ul>
                </Page>
            )}
        </Wait>
    );
}

function Loan({ loan, may }: { loan: Schemas['LoanRow']; may: boolean }) {
    const [back, setBack] = useState('');
    const send = useSend(
        (counted: number, headers) =>
            take(api.POST('/api/loans/{id}/in', { params: { path: { id: loan.id } }, body: { counted }, headers })),
        undefined,
        { affects: touches.loans },
    );
    return (
        <li className="py-2" data-loan={loan.what}>
            <form
                className="grid min-h-14 grid-cols-[4rem_minmax(0,1fr)_minmax(0,1fr)_auto] items-center gap-3"
                onSubmit={(e) => {
                    e.preventDefault();
                    send.mutate(Number(back));
                }}
            >
                <b className="text-right font-mono text-[1.2rem]">{loan.quantity}</b>
                <b>{loan.what}</b>
                <span>
                    <b className="font-mono">{loan.mark}</b>{' '}
                    <Link className="underline underline-offset-4" to={`/floor/${loan.cardId}`}>
                        card {loan.card}
                    </Link>
                    <span className="block text-sm text-soft">
                        {loan.by}, since {loan.since}
                    </span>
                </span>
                {may && (
                    <span className="flex gap-2">
                        <input
                            aria-label={`How many of ${loan.what} came back`}
                            inputMode="numeric"
                            placeholder="0"
                            value={back}
                            onChange={(e) => setBack(e.target.value)}
                            className="h-12 w-20 rounded-lg border-2 border-soft bg-sheet px-3 text-right font-mono"
                        />
                        <Button type="submit" className="min-h-12" disabled={send.isPending || !/^\d+$/.test(back)}>
                            Counted in
                        </Button>
                    </span>
                )}
            </form>
            <Trouble error={send.error} />
        </li>
    );
}
