import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { useAsking } from '../../api/useAsking';
import { Field } from '../../parts/Field';
import { FilePick } from '../../parts/FilePick';
import { FormDialog } from '../../parts/FormDialog';
import { Scroll } from '../../parts/Page';
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

/** A tree as it is written: its JSON on one side, what is wrong with it named, and the drawing as it would be. */
export function WriteTree({ type, tree, onClose }: { type: string; tree: Tree | null; onClose: () => void }) {
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
