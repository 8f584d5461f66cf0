import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../../api/client';
import { useRigging } from '../../../api/hooks';
import { Button, ButtonLink } from '../../../parts/Button';
import { Page, Section, Wait } from '../../../parts/Page';
import type { Run, Spec } from './model';
import { RigHistory } from './RigHistory';
import { RigPicture } from './RigPicture';
import { Sides } from './Sides';
import { useArrows } from './useArrows';

/** A rigging as it was: replayed round by round on its drawing, and what it taught. */
export function Rigging() {
    return (
        <Wait query={useRigging(Number(useParams().id))}>
            {(r) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/bench/rigging">
                            Rigging
                        </Link>
                    }
                    sentence={r.sentence}
                    note={[r.source, r.runs[0]?.story, r.since].filter(Boolean).join('. ').replace(/\.\./g, '.')}
                    actions={
                        <>
                            <ButtonLink reloadDocument big={false} to={`/api/bench/riggings/${r.id}/rigging.pdf`}>
                                Sheet
                            </ButtonLink>
                            <ButtonLink reloadDocument big={false} to={`/api/bench/riggings/${r.id}/rigging.csv`}>
                                CSV
                            </ButtonLink>
                            <ButtonLink reloadDocument big={false} to={`/api/bench/riggings/${r.id}/rigging.json`}>
                                JSON
                            </ButtonLink>
                        </>
                    }
                >
                    {r.runs.length === 0 ? (
                        <p className="text-soft">
                            Nothing has been read yet.{' '}
                            <Link className="underline underline-offset-4" to={`/floor/${r.cardId}`}>
                                To its card
                            </Link>
                        </p>
                    ) : (
                        <Replay r={r} />
                    )}
                </Page>
            )}
        </Wait>
    );
}

function Replay({ r }: { r: Schemas['RiggingView'] }) {
    const spec = r.spec as unknown as Spec;
    const [at, setAt] = useState(r.runs.length - 1);
    const go = (by: number) => setAt((i) => Math.min(r.runs.length - 1, Math.max(0, i + by)));
    useArrows(go);
    // The round that is looked at has not been turned yet: its advice stands beside the linkage.
    const runs: Run[] = r.runs.slice(0, at + 1).map((x, i) => (i === at ? { ...x, turned: null } : x));
    const run = r.runs[at];
    return (
        <>
            <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8">
                <div>
                    <RigPicture spec={spec} runs={runs} typed={{}} />
                    <div className="mt-3 flex flex-wrap items-center gap-2" data-testid="replay">
                        <Button hint="←" disabled={at === 0} onClick={() => go(-1)}>
                            Back
                        </Button>
                        {r.runs.map((x, i) => (
                            <Button key={x.no} kind={i === at ? 'main' : undefined} onClick={() => setAt(i)}>
                                {i === 0
                                    ? 'As found'
                                    : i === r.runs.length - 1 && x.verdict === 'within'
                                      ? 'As left'
                                      : `${i + 1}`}
                            </Button>
                        ))}
                        <Button hint="→" disabled={at === r.runs.length - 1} onClick={() => go(1)}>
                            Next
                        </Button>
                    </div>
                </div>
                <div>
                    <p className="text-[1.15rem] font-semibold">{run?.sentence}</p>
                    <ul className="mt-1 text-soft">
                        {[run?.when, ...(run?.held ?? []), ...(run?.notes ?? [])].filter(Boolean).map((n) => (
                            <li key={n}>{n}</li>
                        ))}
                    </ul>
                    {(run?.moves.length ?? 0) > 0 && (
                        <ol className="mt-3 divide-y divide-rule border-y border-rule">
                            {run?.moves.map((m) => (
                                <li key={m.adjuster} className="py-2">
                                    <b>{m.title}</b>
                                    <span className="block font-semibold text-spruce">{m.said}</span>
                                    {m.approach && <span className="block text-sm text-soft">{m.approach}</span>}
                                </li>
                            ))}
                        </ol>
                    )}
                    {r.tools.length > 0 && <p className="mt-3 text-sm text-soft">Read with {r.tools.join(', ')}.</p>}
                </div>
            </div>
            <Section title="Round by round">
                <RigHistory spec={spec} runs={r.runs} />
            </Section>
            {r.sides.some((s) => s.readings.length > 0) && <Sides sides={r.sides} />}
            <Learned rows={r.learned} />
            {r.others.length > 0 && (
                <Section title={`Other riggings of it on ${r.mark}`}>
                    <p className="flex flex-wrap gap-4">
                        {r.others.map((o) => (
                            <Link key={o.id} to={`/bench/rigging/${o.id}`} className="underline underline-offset-4">
                                {o.when || 'to do'}, {o.word}
                            </Link>
                        ))}
                    </p>
                </Section>
            )}
        </>
    );
}

function Learned({ rows }: { rows: Schemas['LearnedView'][] }) {
    return (
        <Section title="What turning does here">
            <table className="text-left">
                <thead>
                    <tr className="text-sm text-soft">
                        {['One turn of', 'moves', 'here', 'by the book', 'elsewhere'].map((h) => (
                            <th key={h} className="py-1 pr-8 font-normal">
                                {h}
                            </th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {rows.map((l) => (
                        <tr key={`${l.adjuster} ${l.point}`} className="border-t border-rule/60">
                            <td className="py-1 pr-8">{l.adjuster}</td>
                            <td className="pr-8">{l.point}</td>
                            <td className="pr-8 font-mono whitespace-nowrap">
                                {l.here.toFixed(2)} ± {l.sure.toFixed(2)} {l.unit}
                            </td>
                            <td className="pr-8 font-mono">{l.book}</td>
                            <td className="text-soft">{l.fleet}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </Section>
    );
}
