import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useWalk } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Page, Scroll, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { TreeDrawing } from '../library/TreeDrawing';
import { AskedNow } from './AskedNow';
import { useAnswer } from './useAnswer';

type Walk = Schemas['WalkView'];

/** The fault tree of a finding: the question that is open, the way so far, and the tree drawn. */
export function FaultWalk() {
    const id = Number(useParams().id);
    return (
        <Wait query={useWalk(id)}>
            {(walk) => (
                <Page
                    over={
                        <>
                            <Link className="underline underline-offset-4" to="/bench">
                                Bench
                            </Link>{' '}
                            · finding{' '}
                            <Link className="underline underline-offset-4" to={`/floor/findings/${walk.findingId}`}>
                                {walk.finding}
                            </Link>
                        </>
                    }
                    sentence={walk.sentence}
                    note={`${walk.tree}, from ${walk.source}. The order is the manual's.`}
                >
                    <div className="grid gap-8 min-[1150px]:grid-cols-[25rem_minmax(0,1fr)]">
                        <div>
                            <AskedNow walk={walk} />
                            {walk.path.length > 0 && <Way walk={walk} />}
                        </div>
                        <Scroll label="The fault tree, drawn">
                            <TreeDrawing nodes={walk.nodes} />
                        </Scroll>
                    </div>
                </Page>
            )}
        </Wait>
    );
}

/** What was answered, by whom, and the way to take the last one back. */
function Way({ walk }: { walk: Walk }) {
    const send = useAnswer(walk);
    const [why, setWhy] = useState<string | null>(null);
    return (
        <Section title="The way so far">
            <ol className="list-decimal space-y-1 pl-6">
                {walk.path.map((p) => (
                    <li key={`${p.title} ${p.by}`}>
                        {p.title} <b>{p.said}</b>
                        {p.cause && (
                            <>
                                {' '}
                                <State state="stop" word={p.cause} />
                            </>
                        )}
                        <span className="block text-sm text-soft">{p.by}</span>
                    </li>
                ))}
            </ol>
            {walk.may &&
                (why === null ? (
                    <Button kind="quiet" className="mt-2" onClick={() => setWhy('')}>
                        Take the last answer back
                    </Button>
                ) : (
                    <form
                        className="mt-2 flex max-w-xl items-end gap-2"
                        onSubmit={(e) => {
                            e.preventDefault();
                            send.mutate({ do: 'back', note: why }, { onSuccess: () => setWhy(null) });
                        }}
                    >
                        <Field
                            label="Why it is taken back"
                            name="why"
                            autoFocus
                            className="flex-1"
                            value={why}
                            onChange={(e) => setWhy(e.target.value)}
                        />
                        <Button big type="submit" disabled={why.trim() === '' || send.isPending}>
                            Take back
                        </Button>
                    </form>
                ))}
            <Trouble error={send.error} />
        </Section>
    );
}
