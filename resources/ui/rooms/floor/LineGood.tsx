import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, take } from '../../api/client';
import { useLineSign, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Wait } from '../../parts/Page';
import { Signature } from '../../parts/Signature';
import { State } from '../../parts/State';
import type { CardData } from './Card';

/** The end of a check on the line: what keeps it from being signed, and the signature until when it is good. */
export function LineGood({ card }: { card: CardData }) {
    const [signing, setSigning] = useState(false);
    const go = useNavigate();
    const send = useSend(
        (body: { stamp: string; pin: string }, headers) =>
            take(api.POST('/api/line/{id}/good', { params: { path: { id: card.visitId } }, body, headers })),
        () => {
            setSigning(false);
            void go('/floor/line');
        },
    );
    return (
        <Wait query={useLineSign(card.visitId)}>
            {(view) =>
                view.signed !== null ? (
                    <p className="mt-5">
                        <State state="clear" word="Good" /> {view.good}; signed by {view.signed}.{' '}
                        <a className="underline underline-offset-4" href={`/api/line/${card.visitId}/log.pdf`}>
                            Print it for the log
                        </a>
                    </p>
                ) : (
                    <section className="mt-6 rounded-lg border-2 border-ink bg-sheet p-4" data-testid="line-good">
                        <h2 className="text-[1.15rem] font-semibold">
                            {view.blockers.length === 0
                                ? `${view.mark} is good ${view.good}`
                                : `${view.mark} is not good yet`}
                        </h2>
                        {view.blockers.length > 0 && (
                            <ul className="mt-1 divide-y divide-rule">
                                {view.blockers.map((b) => (
                                    <li key={b.title + b.code} className="py-1">
                                        <State state="stop" word="Open" />{' '}
                                        <Link className="underline underline-offset-4" to={b.link}>
                                            {b.title}
                                        </Link>{' '}
                                        {b.text}
                                    </li>
                                ))}
                            </ul>
                        )}
                        <Button
                            kind="main"
                            big
                            className="mt-3"
                            disabled={view.blockers.length > 0}
                            onClick={() => setSigning(true)}
                        >
                            Sign that it is good
                        </Button>
                        <Signature
                            open={signing}
                            title={`Sign ${view.title}, ${view.mark}`}
                            says={view.statement}
                            busy={send.isPending}
                            error={send.error}
                            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
                            onClose={() => setSigning(false)}
                        />
                    </section>
                )
            }
        </Wait>
    );
}
