import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useSend, useTrees } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Scroll, Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { TreeDrawing } from './TreeDrawing';
import { WriteTree } from './WriteTree';

type Tree = Schemas['TreeView'];

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
                    {write && <WriteTree {...write} onClose={() => setWrite(null)} />}
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
