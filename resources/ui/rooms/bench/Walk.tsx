import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend, useWalk } from '../../api/hooks';
import { Button, ButtonLink } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Page, Scroll, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { TreeDrawing } from '../library/TreeDrawing';

type Walk = Schemas['WalkView'];
type Answer = { do: 'answer' | 'back' | 'card'; answer?: string; note?: string };

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
                            <Open walk={walk} />
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

function useAnswer(walk: Walk) {
    return useSend((body: Answer, headers) =>
        take(
            api.POST('/api/bench/findings/{id}/walk', {
                params: { path: { id: walk.findingId } },
                body: { ...body, version: walk.version },
                headers,
            }),
        ),
    );
}

/** The question that is open, with one key for each answer. */
function Open({ walk }: { walk: Walk }) {
    const send = useAnswer(walk);
    const [value, setValue] = useState('');
    const [note, setNote] = useState('');
    const node = walk.nodes.find((n) => n.id === walk.here);
    if (node === undefined || !walk.may) {
        return null;
    }
    const answer = (of: string) =>
        send.mutate(
            { do: 'answer', answer: of, note },
            {
                onSuccess: () => {
                    setValue('');
                    setNote('');
                },
            },
        );
    return (
        <section className="max-w-3xl rounded-xl border-2 border-spruce bg-sheet px-5 py-4" aria-label="Asked now">
            <h2 className="text-[1.3rem] leading-tight font-semibold">{node.title}</h2>
            {node.text !== '' && <p className="mt-1 text-soft">{node.text}</p>}
            {node.ask === 'answer' && (
                <>
                    <div className="mt-4 grid grid-cols-2 gap-3">
                        {node.branches.map((b) => (
                            <button
                                key={b.id}
                                type="button"
                                disabled={send.isPending}
                                onClick={() => answer(b.id)}
                                className="min-h-16 rounded-xl border-2 border-ink bg-paper px-4 text-left text-[1.1rem] font-semibold"
                            >
                                {b.title}
                                {b.times !== null && b.times > 0 && (
                                    <span className="block text-sm font-normal text-soft">
                                        the cause {b.times === 1 ? 'once' : `${b.times} times`} in this fleet
                                    </span>
                                )}
                            </button>
                        ))}
                    </div>
                    <Field
                        label="A word"
                        name="note"
                        className="mt-3"
                        value={note}
                        onChange={(e) => setNote(e.target.value)}
                    />
                </>
            )}
            {node.ask === 'measure' && (
                <form
                    className="mt-3 flex items-end gap-3"
                    onSubmit={(e) => {
                        e.preventDefault();
                        answer(value);
                    }}
                >
                    <Field
                        label={`Measured, ${node.unit}`}
                        name="value"
                        inputMode="decimal"
                        autoFocus
                        value={value}
                        onChange={(e) => setValue(e.target.value)}
                    />
                    <Button kind="main" big type="submit" disabled={value === '' || send.isPending}>
                        Save
                    </Button>
                </form>
            )}
            {node.ask === 'card' && (
                <div className="mt-4 flex flex-wrap items-center gap-3">
                    {walk.cardId === null ? (
                        <Button kind="main" big disabled={send.isPending} onClick={() => send.mutate({ do: 'card' })}>
                            Make card {node.card}
                        </Button>
                    ) : (
                        <ButtonLink to={`/floor/${walk.cardId}`}>Card {walk.card}</ButtonLink>
                    )}
                    {walk.cardId !== null && (
                        <Button
                            big
                            kind="main"
                            disabled={!walk.cardClosed || send.isPending}
                            onClick={() => answer('done')}
                        >
                            {walk.cardClosed ? 'It is done' : 'Waits until it is closed'}
                        </Button>
                    )}
                </div>
            )}
            {node.ask === 'test' && (
                <ButtonLink to={`/floor/${walk.testCardId}?step=${walk.testStep}`} className="mt-4">
                    Repeat the test
                </ButtonLink>
            )}
            {node.ask === 'end' && (
                <p className="mt-2 text-[1.1rem]">
                    The approved data goes no further. Ask <b>{node.whom}</b>; the answer is kept with the manual.
                </p>
            )}
            <Trouble error={send.error} />
        </section>
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
