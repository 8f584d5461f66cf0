import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Asked, api, type Schemas, take } from '../../api/client';
import { useLine, useSend } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { floorTabs } from './tabs';

type Row = Schemas['LineRow'];
type Check = Schemas['LineCheckView'];

/** The aircraft on the line: those that have no check that is good first, each begun where one stands. */
export function Line() {
    return (
        <Wait query={useLine()}>
            {(line) => (
                <Page over={<Tabs label="Floor" tabs={floorTabs} />} sentence={line.sentence}>
                    <ul className="divide-y divide-rule border-y border-rule">
                        {line.rows.map((r) => (
                            <Aircraft key={r.mark} row={r} may={line.may} />
                        ))}
                    </ul>
                    {line.rows.length === 0 && (
                        <p className="py-4 text-soft">
                            Give an item of the programme a "line": daily, turnaround or report.
                        </p>
                    )}
                </Page>
            )}
        </Wait>
    );
}

function Aircraft({ row, may }: { row: Row; may: boolean }) {
    const [report, setReport] = useState<Check | null>(null);
    const begin = useBegin();
    const shown = row.checks.filter((c) => c.line !== 'report' || c.card !== null);
    const afterReport = row.checks.find((c) => c.line === 'report');
    return (
        <li className="grid grid-cols-[7.5rem_minmax(0,1fr)_auto] items-start gap-x-4 py-3" data-line={row.mark}>
            <div>
                <Link
                    className="font-mono text-[1.15rem] font-bold underline underline-offset-4"
                    to={`/fleet/${row.mark}`}
                >
                    {row.mark}
                </Link>
                <span className="block text-sm text-soft">
                    {row.type}, {row.base}
                </span>
            </div>
            {row.visit !== null ? (
                <p className="self-center text-soft">
                    <State state="waiting" word="In a visit" />: {row.said}
                </p>
            ) : (
                <ul className="space-y-1">
                    {row.state === 'stop' && !shown.some((c) => c.state === 'stop') && (
                        <li className="flex min-h-12 items-center">
                            <span>
                                <State state="stop" word="Open" /> {row.said}
                            </span>
                        </li>
                    )}
                    {shown.map((c) => (
                        <li key={c.item} className="flex min-h-12 flex-wrap items-center gap-3" data-check={c.line}>
                            <span className="min-w-0 flex-1">
                                <State state={c.state} word={c.word} /> <b className="font-semibold">{c.title}</b>:{' '}
                                {c.said}
                            </span>
                            {c.card !== null && <ButtonLink to={`/floor/${c.card}`}>Go on</ButtonLink>}
                            {may &&
                                c.card === null &&
                                c.flights.map((f, n) => (
                                    <Button
                                        key={f}
                                        className="min-h-12"
                                        kind={n === 0 ? 'plain' : 'quiet'}
                                        disabled={begin.isPending}
                                        onClick={() => begin.mutate({ mark: row.mark, item: c.item, flight: f })}
                                    >
                                        Before {f}
                                    </Button>
                                ))}
                            {may && c.card === null && c.flights.length === 0 && c.word !== 'turned round' && (
                                <Button
                                    kind={c.state === 'stop' ? 'main' : 'plain'}
                                    className="min-h-12"
                                    disabled={begin.isPending}
                                    onClick={() => begin.mutate({ mark: row.mark, item: c.item })}
                                >
                                    Begin it
                                </Button>
                            )}
                        </li>
                    ))}
                    <Trouble error={begin.error} />
                </ul>
            )}
            {row.visit === null && may && afterReport ? (
                <Button className="min-h-12" onClick={() => setReport(afterReport)}>
                    A crew report …
                </Button>
            ) : (
                <span />
            )}
            {report && <Report mark={row.mark} check={report} onClose={() => setReport(null)} />}
        </li>
    );
}

function useBegin() {
    const go = useNavigate();
    return useSend(
        (body: Asked<'beginLine'>, headers) => take(api.POST('/api/line', { body, headers })),
        (card) => void go(`/floor/${card.id}`),
    );
}

/** What a crew said was wrong: it is a finding at once, and begins the check that follows a report. */
function Report({ mark, check, onClose }: { mark: string; check: Check; onClose: () => void }) {
    const [report, setReport] = useState('');
    const [chapter, setChapter] = useState('');
    const [severity, setSeverity] = useState<'minor' | 'major' | 'critical'>('minor');
    const begin = useBegin();
    return (
        <FormDialog
            title={`A crew report on ${mark}`}
            action="Begin the check"
            ready={report.trim().length > 2 && /^\d{2}(-\d{2})?$/.test(chapter.trim())}
            send={begin}
            onSend={() => begin.mutate({ mark, item: check.item, report, chapter: chapter.trim(), severity })}
            onClose={onClose}
        >
            <label className="block font-semibold">
                What the crew said
                <textarea
                    name="report"
                    autoFocus
                    rows={3}
                    value={report}
                    onChange={(e) => setReport(e.target.value)}
                    className="mt-1 w-full rounded-lg border-2 border-soft bg-sheet p-3 font-normal"
                />
            </label>
            <Field
                label="Chapter"
                name="chapter"
                hint="Two figures, or two and two: 32, or 32-42."
                inputMode="numeric"
                value={chapter}
                onChange={(e) => setChapter(e.target.value)}
            />
            <Choice
                big
                label="How bad"
                value={severity}
                options={[
                    { value: 'minor', name: 'minor' },
                    { value: 'major', name: 'major' },
                    { value: 'critical', name: 'critical' },
                ]}
                onChange={setSeverity}
            />
        </FormDialog>
    );
}
