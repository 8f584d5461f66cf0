import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useRecording } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { RecordingDrawing } from './RecordingDrawing';
import type { Stretch } from './stretch';

type Data = Schemas['RecordingView'];

/** A recording: drawn with its reference, limits, changes of mode and peaks; both engines on one picture. */
export function Recording() {
    return (
        <Wait query={useRecording(Number(useParams().id))}>
            {(r) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/bench/recordings">
                            Recordings
                        </Link>
                    }
                    sentence={r.sentence}
                    note={
                        <>
                            {r.recorder}, begun {r.begun}, {r.samples.toLocaleString('en-GB')} samples over{' '}
                            {(r.seconds / 60).toFixed(1)} min, brought in by {r.by}
                            {r.attemptId !== null && (
                                <>
                                    {' '}
                                    ·{' '}
                                    <Link className="underline underline-offset-4" to={`/floor/${r.cardId}`}>
                                        its test
                                    </Link>
                                </>
                            )}
                        </>
                    }
                >
                    <Said r={r} />
                    <Signals r={r} />
                </Page>
            )}
        </Wait>
    );
}

function Said({ r }: { r: Data }) {
    return (
        <ul className="space-y-1" data-testid="said">
            {r.beyond.map((b) => (
                <li key={`${b.from} ${b.said}`}>
                    <State state="stop" word={`at ${b.from.toFixed(1)} s`} /> {b.said}, {b.seconds.toFixed(1)} s
                </li>
            ))}
            {r.changes.map((c) => (
                <li key={c.t}>
                    <State state={c.look} word={`to ${c.to} at ${c.t.toFixed(1)} s`} /> {c.said}
                </li>
            ))}
            {r.notJudged && (
                <li>
                    <State state="waiting" word="Not judged" /> {r.notJudged}
                </li>
            )}
            {r.gaps.map((g) => (
                <li key={g.line}>
                    <State state="watch" word={`after line ${g.line}`} /> nothing was recorded for{' '}
                    {(g.to - g.from).toFixed(1)} s
                </li>
            ))}
        </ul>
    );
}

/** One signal of an engine with its sister's, by one choice. */
function Signals({ r }: { r: Data }) {
    const bases = [...new Set(r.signals.map((s) => s.signal.replace(/_2$/, '')))];
    const [base, setBase] = useState((r.watched ?? r.signals[0]?.signal ?? '').replace(/_2$/, ''));
    const [view, setView] = useState<Stretch>([0, r.seconds]);
    const chosen = r.signals.filter((s) => s.signal.replace(/_2$/, '') === base);
    return (
        <Section title="Drawn">
            <div className="mb-2">
                <Choice
                    big
                    label="Signal"
                    options={bases.map((b) => ({ value: b, name: b }))}
                    value={base}
                    onChange={setBase}
                />
            </div>
            <RecordingDrawing r={r} signals={chosen} view={view} onView={setView} />
        </Section>
    );
}
