import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend, useTrees } from '../../api/hooks';
import { useAsking } from '../../api/useAsking';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FilePick } from '../../parts/FilePick';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Scroll, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { TreeDrawing } from './TreeDrawing';

type Tree = Schemas['TreeView'];

const blank = (type: string): string =>
    JSON.stringify(
        {
            code: `${type}-T-`,
            type,
            title: '',
            source: '',
            nodes: [
                {
                    id: 'first',
                    title: 'Is it sound?',
                    ask: 'answer',
                    branches: [
                        { id: 'no', title: 'No', cause: 'worn', to: 'again' },
                        { id: 'yes', title: 'Yes', to: 'ask' },
                    ],
                },
                {
                    id: 'again',
                    title: 'Repeat the test',
                    ask: 'test',
                    branches: [
                        { id: 'pass', title: 'Passed' },
                        { id: 'fail', title: 'Failed', to: 'first' },
                    ],
                },
                { id: 'ask', title: 'The tree ends', ask: 'end', whom: "the type's support desk" },
            ],
        },
        null,
        4,
    );

/** Fault trees of every type, drawn; each is written as JSON, and drawn while it is. */
export function Trees() {
    const [write, setWrite] = useState<{ type: string; tree: Tree | null } | null>(null);
    return (
        <Wait query={useTrees()}>
            {(room) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/library">
                            Library
                        </Link>
                    }
                    sentence={room.sentence}
                    note="Each follows the approved data, and names where. A second person brings it in force."
                >
                    {room.types.map((t) => (
                        <Section
                            key={t}
                            title={t}
                            aside={
                                room.may && (
                                    <Button kind="quiet" onClick={() => setWrite({ type: t, tree: null })}>
                                        New tree
                                    </Button>
                                )
                            }
                        >
                            {room.trees
                                .filter((tree) => tree.type === t)
                                .map((tree) => (
                                    <One
                                        key={tree.id}
                                        tree={tree}
                                        may={room.may}
                                        onWrite={() => setWrite({ type: t, tree })}
                                    />
                                ))}
                            {room.trees.every((tree) => tree.type !== t) && (
                                <p className="py-2 text-soft">No fault tree yet.</p>
                            )}
                        </Section>
                    ))}
                    {write && <Write {...write} onClose={() => setWrite(null)} />}
                </Page>
            )}
        </Wait>
    );
}

function One({ tree, may, onWrite }: { tree: Tree; may: boolean; onWrite: () => void }) {
    const send = useSend((accept: boolean, headers) =>
        take(
            api.POST('/api/library/trees/{id}/decide', {
                params: { path: { id: tree.id } },
                body: { accept },
                headers,
            }),
        ),
    );
    return (
        <details className="border-b border-rule py-2" data-testid={`tree-${tree.code}`}>
            <summary className="flex min-h-12 cursor-pointer flex-wrap items-center gap-x-4">
                <State state={tree.look} word={tree.word} />
                <b className="font-mono">{tree.code}</b>
                <span className="flex-1">{tree.title}</span>
                <span className="text-sm text-soft">
                    {tree.source}, version {tree.version}
                </span>
            </summary>
            <p className="my-2 text-sm text-soft">{tree.by}</p>
            <div className="noprint mb-3 flex flex-wrap gap-3">
                {may && <Button onClick={onWrite}>Change it</Button>}
                {tree.mayDecide && (
                    <>
                        <Button kind="main" disabled={send.isPending} onClick={() => send.mutate(true)}>
                            Bring it in force
                        </Button>
                        <Button disabled={send.isPending} onClick={() => send.mutate(false)}>
                            Decline
                        </Button>
                    </>
                )}
                <a
                    className="self-center underline underline-offset-4"
                    href={`/api/library/trees/${tree.id}/file.json`}
                >
                    JSON
                </a>
            </div>
            <Trouble error={send.error} />
            <Scroll label={`Fault tree ${tree.code}, drawn`}>
                <TreeDrawing nodes={tree.nodes} />
            </Scroll>
        </details>
    );
}

/** A tree as it is written: its JSON on one side, what is wrong with it named, and the drawing as it would be. */
function Write({ type, tree, onClose }: { type: string; tree: Tree | null; onClose: () => void }) {
    const [text, setText] = useState(tree?.json ?? blank(type));
    const [reason, setReason] = useState('');
    const { said } = useAsking(
        { type, text },
        (of) =>
            take(
                api.POST('/api/library/trees/{type}/preview', {
                    params: { path: { type: of.type } },
                    body: { text: of.text },
                }),
            ),
        300,
    );
    const send = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/library/trees/{type}', {
                    params: { path: { type } },
                    body: { text, reason, ...(tree === null ? {} : { version: tree.version }) },
                    headers,
                }),
            ),
        onClose,
    );
    return (
        <FormDialog
            title={tree === null ? `New fault tree, ${type}` : `Change ${tree.code}`}
            action="Propose it"
            ready={said?.fault === null && reason.trim() !== ''}
            send={send}
            onSend={() => send.mutate(null)}
            onClose={onClose}
            wide
        >
            <FilePick
                says="Take a file"
                hint="JSON"
                name="tree"
                accept=".json"
                onFile={(f) => void f.text().then(setText)}
            />
            <div className="grid grid-cols-2 gap-4">
                <label className="block">
                    <span className="mb-1 block font-semibold">The tree</span>
                    <textarea
                        name="text"
                        spellCheck={false}
                        value={text}
                        onChange={(e) => setText(e.target.value)}
                        className="h-[46vh] w-full rounded-lg border-2 border-soft bg-sheet p-2 font-mono text-[12.5px]"
                    />
                </label>
                <div>
                    <p className="min-h-10 font-semibold text-rust" aria-live="polite" data-testid="fault">
                        {said?.fault}
                    </p>
                    <Scroll label="As it would be drawn" className="h-[44vh]">
                        <TreeDrawing nodes={said?.nodes ?? []} />
                    </Scroll>
                </div>
            </div>
            <Field label="Why it is changed" name="reason" value={reason} onChange={(e) => setReason(e.target.value)} />
        </FormDialog>
    );
}
