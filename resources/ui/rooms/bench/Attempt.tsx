import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAttempt } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';

/** An attempt at a functional test as it was. */
export function Attempt() {
    return (
        <Wait query={useAttempt(Number(useParams().id))}>
            {(a) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/bench">
                            Bench
                        </Link>
                    }
                    sentence={a.sentence}
                    note={
                        <>
                            <State state={a.look} word={a.word} /> · card{' '}
                            <Link className="underline underline-offset-4" to={`/floor/${a.cardId}`}>
                                {a.card}
                            </Link>
                            , begun by {a.begun}
                            {a.ended && <>; verdict by {a.ended}</>}
                            {a.findingId !== null && (
                                <>
                                    {' '}
                                    ·{' '}
                                    <Link
                                        className="underline underline-offset-4"
                                        to={`/bench/findings/${a.findingId}`}
                                    >
                                        {a.finding}, its fault tree
                                    </Link>
                                </>
                            )}
                        </>
                    }
                >
                    {a.broken && (
                        <p className="rounded-lg border-2 border-ochre bg-ochre-wash px-4 py-2">
                            <State state="watch" word="Broken off" /> {a.broken}
                        </p>
                    )}
                    {a.conditions.length > 0 && <p className="mt-2">{a.conditions.join(' · ')}</p>}
                    {a.recordings.map((r) => (
                        <p key={r.id} className="mt-2">
                            <State state={r.look} word={r.word} />{' '}
                            <Link className="underline underline-offset-4" to={`/bench/recordings/${r.id}`}>
                                {r.name}
                            </Link>
                            , {r.minutes} min
                        </p>
                    ))}
                    <Section title="Steps">
                        {a.steps.length === 0 && <p className="text-soft">They are kept with its verdict.</p>}
                        <ol className="divide-y divide-rule">
                            {a.steps.map((s) => (
                                <Step key={s.no} step={s} />
                            ))}
                        </ol>
                    </Section>
                </Page>
            )}
        </Wait>
    );
}

function Step({ step }: { step: Schemas['AttemptStepView'] }) {
    return (
        <li className="grid grid-cols-[2.5rem_6rem_minmax(0,1fr)_11rem] items-baseline gap-3 py-2">
            <span className="font-mono text-sm text-soft">{step.no}</span>
            <span className="text-sm text-soft">{step.part}</span>
            <span>
                {step.title}
                {step.lines.map((l) => (
                    <span key={l} className="block font-mono text-sm">
                        {l}
                    </span>
                ))}
                {step.by && <span className="block text-sm text-soft">{step.by}</span>}
            </span>
            <State state={step.look} word={step.word} />
        </li>
    );
}
