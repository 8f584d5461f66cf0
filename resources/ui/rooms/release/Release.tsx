import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useRelease, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Defers, Page, Section, Wait } from '../../parts/Page';
import { Signature } from '../../parts/Signature';
import { Glyph } from '../../parts/State';

/** What keeps an aircraft here, each thing leading to its place; then the signature and the papers. */
export function Release() {
    return <Wait query={useRelease(Number(useParams().id))}>{(v) => <ReleaseOf view={v} />}</Wait>;
}

const link = 'inline-flex min-h-9 items-center rounded-lg border border-ink px-3.5 font-semibold';

function ReleaseOf({ view }: { view: Schemas['ReleaseView'] }) {
    const [signing, setSigning] = useState(false);
    return (
        <Page
            over={
                <>
                    <b className="font-mono text-ink">{view.mark}</b> · {view.type} · {view.title}
                </>
            }
            sentence={view.sentence}
            actions={
                <>
                    {view.number === null && view.may && (
                        <Button kind="main" disabled={view.blockers.length > 0} onClick={() => setSigning(true)}>
                            Sign the release
                        </Button>
                    )}
                    {view.number !== null && (
                        <a
                            className={link}
                            href={`/api/release/${view.id}/certificate.pdf`}
                            target="_blank"
                            rel="noreferrer"
                        >
                            Certificate
                        </a>
                    )}
                    <a className={link} href={`/api/release/${view.id}/cards.pdf`} target="_blank" rel="noreferrer">
                        Card pack
                    </a>
                </>
            }
        >
            {view.blockers.length > 0 && (
                <ol className="divide-y divide-rule border-y border-rule" data-testid="blockers">
                    {view.blockers.map((b) => (
                        <li key={b.code + b.title + b.link}>
                            <Link
                                to={b.link}
                                className="grid min-h-12 grid-cols-[2rem_1fr_auto] items-center py-2 hover:bg-sheet"
                                data-code={b.codes.join(' ')}
                            >
                                <Glyph state="stop" />
                                <span>
                                    <b>{b.title}</b> {b.text}
                                </span>
                                <span className="text-sm underline underline-offset-4">go there</span>
                            </Link>
                        </li>
                    ))}
                </ol>
            )}
            {view.certifier && (
                <p>
                    Signed by <b>{view.certifier}</b>.
                </p>
            )}
            {view.moved.length > 0 && (
                <Section title="Due again">
                    <ul>
                        {view.moved.map((m) => (
                            <li key={m} className="py-1">
                                {m}
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            <Section title={view.items.length === 1 ? 'One card' : `${view.items.length} cards`}>
                <ul>
                    {view.items.map((i) => (
                        <li key={i} className="py-1">
                            {i}
                        </li>
                    ))}
                </ul>
            </Section>
            <Defers />
            {signing && <SignRelease view={view} onClose={() => setSigning(false)} />}
        </Page>
    );
}

function SignRelease({ view, onClose }: { view: Schemas['ReleaseView']; onClose: () => void }) {
    const send = useSend(
        (body: { stamp: string; pin: string }, headers) =>
            take(api.POST('/api/release/{id}', { params: { path: { id: view.id } }, body, headers })),
        onClose,
    );
    return (
        <Signature
            open
            title={`Release ${view.mark} to service`}
            says={view.statement}
            busy={send.isPending}
            error={send.error}
            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
            onClose={onClose}
        />
    );
}
