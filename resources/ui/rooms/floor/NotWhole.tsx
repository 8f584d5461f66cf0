import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Section, Trouble } from '../../parts/Page';
import { State } from '../../parts/State';

type Open = Schemas['NotWholeView'];

/** What was disturbed on the aircraft and is not proven again, beside the step in hand. */
export function NotWhole({ open, mark }: { open: Open[]; mark: string }) {
    return open.length === 0 ? null : (
        <>
            <h2 className="mt-5 font-semibold">Disturbed on {mark}, not proven</h2>
            <ul className="mt-1 divide-y divide-rule" data-testid="not-whole">
                {open.map((n) => (
                    <li key={n.what} className="py-2">
                        <State state={n.apart ? 'stop' : 'watch'} word={n.apart ? 'apart' : 'unproven'} />{' '}
                        <Link
                            to={n.link}
                            className="inline-flex min-h-12 items-center font-semibold underline underline-offset-4"
                        >
                            {n.what}
                        </Link>
                        {n.missing.length > 0 && (
                            <span className="block text-sm text-soft">missing: {n.missing.join(', ')}</span>
                        )}
                    </li>
                ))}
            </ul>
        </>
    );
}

/** The same in the register, each with what rests on what, and the least work that proves it all. */
export function Unproven({ r }: { r: Schemas['RegisterView'] }) {
    return (
        <Section title="Disturbed, and not proven since">
            <ul className="divide-y divide-rule">
                {r.notWhole.map((n) => (
                    <li key={n.what} className="grid grid-cols-[minmax(0,1fr)_auto] gap-4 py-3" data-what={n.what}>
                        <div>
                            <p className="text-[1.05rem]">
                                <State state={n.apart ? 'stop' : 'watch'} word={n.apart ? 'Apart' : 'Unproven'} />{' '}
                                {n.said}
                            </p>
                            <ol className="mt-1 border-l-2 border-rule pl-3 text-sm text-soft">
                                {n.chain.map((line) => (
                                    <li key={line}>{line}</li>
                                ))}
                            </ol>
                        </div>
                        <ButtonLink to={n.link} className="self-center text-sm print:hidden">
                            to the step
                        </ButtonLink>
                    </li>
                ))}
            </ul>
            <Offers r={r} />
        </Section>
    );
}

function Offers({ r }: { r: Schemas['RegisterView'] }) {
    const send = useSend((template: number, headers) =>
        take(
            api.POST('/api/visits/{id}/cards', {
                params: { path: { id: r.visitId ?? 0 } },
                body: { template },
                headers,
            }),
        ),
    );
    if (r.offers.length === 0) {
        return (
            <p className="mt-2 text-soft">
                No card that is open, and none of the Library, proves what is missing. Write one, or disturb nothing.
            </p>
        );
    }
    return (
        <div className="mt-3">
            <p className="font-semibold">The least work that proves it:</p>
            <ul className="mt-1" data-testid="offers">
                {r.offers.map((o) => (
                    <li key={o.title} className="flex items-center justify-between gap-4 border-t border-rule py-2">
                        <span>
                            <b>{o.title}</b>
                            {o.hours > 0 && <span className="text-soft"> ({o.hours} h)</span>}
                            <span className="block text-sm text-soft">{o.proves}</span>
                        </span>
                        {o.link !== null ? (
                            <ButtonLink to={o.link} className="shrink-0">
                                work it
                            </ButtonLink>
                        ) : (
                            r.visitId !== null && (
                                <Button
                                    className="min-h-12 shrink-0"
                                    disabled={send.isPending}
                                    onClick={() => send.mutate(o.template ?? 0)}
                                >
                                    Put it on the visit
                                </Button>
                            )
                        )}
                    </li>
                ))}
            </ul>
            <Trouble error={send.error} />
        </div>
    );
}
