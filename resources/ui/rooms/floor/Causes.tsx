import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button, ButtonLink } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { capital } from '../../parts/words';
import { useClear } from './useClear';

type Hold = Schemas['HoldView'];

/** What stands against something, each with what removes it: a person is called clear here, a device at the step that takes it off. */
export function Causes({ causes }: { causes: Hold[] }) {
    const [asked, setAsked] = useState<Hold | null>(null);
    return (
        <>
            <ul className="mt-2 divide-y divide-rule">
                {causes.map((h) => (
                    <li key={h.said} className="grid grid-cols-[minmax(0,1fr)_17rem] items-center gap-3 py-2">
                        <span>{capital(h.said)}</span>
                        {h.person === null ? (
                            <ButtonLink to={h.link}>{h.action}</ButtonLink>
                        ) : (
                            <Button className="min-h-12 px-4 text-left" onClick={() => setAsked(h)}>
                                {h.action}
                            </Button>
                        )}
                    </li>
                ))}
            </ul>
            {asked && <CallClear hold={asked} onClose={() => setAsked(null)} />}
        </>
    );
}

/** A person is clear when somebody has seen it, and says so. */
function CallClear({ hold, onClose }: { hold: Hold; onClose: () => void }) {
    const clear = useClear(onClose);
    const { card, person, name } = hold;
    return (
        <FormDialog
            title={`Is ${name} clear?`}
            action={`${name} is clear`}
            ready={card !== null && person !== null}
            send={clear}
            onSend={() => card !== null && person !== null && clear.mutate({ card, person })}
            onClose={onClose}
        >
            <p>{hold.said}.</p>
            <p>
                Look, or hear it from {name}. After that nothing is held for their sake; the record keeps that you
                called it.{' '}
                <Link className="underline underline-offset-4" to={hold.link}>
                    See the card
                </Link>
            </p>
        </FormDialog>
    );
}
