import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useReport, useSend } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { EndReport } from './EndReport';

/** One crew report: its chapter, what was last done there, and how it ends. */
export function Report() {
    const id = Number(useParams().id);
    const [end, setEnd] = useState<'finding' | 'no_fault' | null>(null);
    return (
        <Wait query={useReport(id)}>
            {(p) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/deferrals/reports">
                            Crew reports
                        </Link>
                    }
                    sentence={p.sentence}
                    note={`${p.report.flight ? `${p.report.flight}, ` : ''}${p.report.happened}, ${p.report.crew}`}
                    actions={
                        <>
                            {p.may.includes('finding') && (
                                <Button kind="main" onClick={() => setEnd('finding')}>
                                    It is a finding
                                </Button>
                            )}
                            {p.may.includes('no_fault') && <Button onClick={() => setEnd('no_fault')}>No fault</Button>}
                            {p.report.findingId && (
                                <ButtonLink big={false} to={`/floor/findings/${p.report.findingId}`}>
                                    Its finding
                                </ButtonLink>
                            )}
                        </>
                    }
                >
                    {p.story.length > 0 && (
                        <Section title={`A repeat of ${p.report.repeat}`}>
                            <ul className="list-disc pl-5">
                                {p.story.map((s) => (
                                    <li key={s}>{s}</li>
                                ))}
                            </ul>
                        </Section>
                    )}
                    <Chapter page={p} />
                    <div className="grid grid-cols-1 gap-x-10 lg:grid-cols-2">
                        <Section title="What was last done there">
                            {p.before.length === 0 && <p className="py-1 text-soft">Nothing in the last months.</p>}
                            <ul className="space-y-1">
                                {p.before.map((e) => (
                                    <li key={e.said} className={e.suspect ? 'font-semibold' : ''}>
                                        {e.link ? (
                                            <Link className="underline underline-offset-4" to={e.link}>
                                                {e.said}
                                            </Link>
                                        ) : (
                                            e.said
                                        )}
                                        {e.suspect && <span className="text-ochre"> first suspect</span>}
                                    </li>
                                ))}
                            </ul>
                        </Section>
                        <Tests page={p} />
                    </div>
                    {end && <EndReport page={p} how={end} onClose={() => setEnd(null)} />}
                </Page>
            )}
        </Wait>
    );
}

function Chapter({ page: p }: { page: Schemas['ReportPage'] }) {
    const [chapter, setChapter] = useState('');
    const send = useSend((said: string, headers) =>
        take(
            api.POST('/api/reports/{id}/chapter', {
                params: { path: { id: p.report.id } },
                body: { chapter: said },
                headers,
            }),
        ),
    );
    return (
        <Section title="Chapter">
            <p>
                {p.report.chapter ? <b className="font-mono">{p.report.chapter}</b> : 'Nobody has said it'}
                {p.report.chapter && !p.report.sorted && <span className="text-soft"> proposed from its words</span>}
            </p>
            {p.may.includes('sort') && (
                <div className="noprint mt-2 flex flex-wrap items-center gap-2">
                    {p.chapters.map((c) => (
                        <Button
                            key={c.chapter}
                            disabled={send.isPending || (p.report.sorted && c.chapter === p.report.chapter)}
                            onClick={() => send.mutate(c.chapter)}
                        >
                            {c.chapter} <span className="font-normal text-soft">{c.words}</span>
                        </Button>
                    ))}
                    <form
                        className="flex gap-2"
                        onSubmit={(e) => {
                            e.preventDefault();
                            send.mutate(chapter);
                        }}
                    >
                        <input
                            aria-label="Another chapter"
                            name="chapter"
                            placeholder="32-43"
                            className="h-10 w-28 rounded-lg border-2 border-soft bg-sheet px-3 font-mono"
                            value={chapter}
                            onChange={(e) => setChapter(e.target.value)}
                        />
                        <Button type="submit" disabled={chapter === '' || send.isPending}>
                            It is this one
                        </Button>
                    </form>
                </div>
            )}
            <Trouble error={send.error} />
        </Section>
    );
}

/** Tests on record since, which could say that it is no fault, and tests that could be made. */
function Tests({ page: p }: { page: Schemas['ReportPage'] }) {
    const send = useSend((template: string, headers) =>
        take(
            api.POST('/api/reports/{id}/test', { params: { path: { id: p.report.id } }, body: { template }, headers }),
        ),
    );
    return (
        <Section title="Tests">
            <ul>
                {p.proofs.map((t) => (
                    <li key={t.id} className="py-1">
                        <Link className="underline underline-offset-4" to={`/floor/${t.id}`}>
                            {t.code} {t.title}
                        </Link>{' '}
                        <span className="text-soft">{t.said}</span>
                    </li>
                ))}
            </ul>
            {p.proofs.length === 0 && (
                <p className="py-1 text-soft">
                    None on record since the report: it ends as no fault only by a test of its chapter.
                </p>
            )}
            {p.may.includes('test') && (
                <ul className="mt-2">
                    {p.tests.map((t) => (
                        <li
                            key={t.code}
                            className="flex items-center justify-between gap-3 border-b border-rule/60 py-1.5"
                        >
                            <span>
                                <span className="font-mono text-sm text-soft">{t.code}</span> {t.title}{' '}
                                <span className="text-sm text-soft">{t.said}</span>
                            </span>
                            <Button className="shrink-0" disabled={send.isPending} onClick={() => send.mutate(t.code)}>
                                Make it
                            </Button>
                        </li>
                    ))}
                </ul>
            )}
            <Trouble error={send.error} />
        </Section>
    );
}
