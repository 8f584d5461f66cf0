import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button, ButtonLink } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Trouble } from '../../parts/Page';
import { useAnswer } from './useAnswer';

/** The question that is open, with one key for each answer. */
export function AskedNow({ walk }: { walk: Schemas['WalkView'] }) {
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
                                className="min-h-16 rounded-xl border-2 border-ink bg-paper px-4 text-left text-lg font-semibold"
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
