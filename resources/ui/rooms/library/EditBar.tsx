import { useNavigate } from 'react-router';
import { Button } from '../../parts/Button';
import type { EditorState } from './useEditor';

/** What is written, whether it is saved, and the ways out. */
export function EditBar({ type, e }: { type: string; e: EditorState }) {
    const go = useNavigate();
    return (
        <div className="flex items-center gap-2 border-b border-rule px-4 py-2">
            <h1 className="mr-auto min-w-0 flex-1 truncate text-[1.2rem] font-semibold">
                <span className="font-mono">{String(e.body.code) || 'New card'}</span> {String(e.body.title)}
            </h1>
            {e.dirty && <span className="shrink-0 text-soft">not saved</span>}
            <Button disabled={!e.mayUndo} onClick={e.undo}>
                Undo
            </Button>
            <Button disabled={!e.mayRedo} onClick={e.redo}>
                Redo
            </Button>
            <input
                aria-label="What is changed, and why"
                name="note"
                placeholder="What is changed, and why"
                className="h-10 w-48 min-w-0 rounded-lg border-2 border-soft bg-sheet px-2.5"
                value={e.note}
                onChange={(x) => e.setNote(x.target.value)}
            />
            <Button
                kind="main"
                title="Ctrl S"
                className="shrink-0"
                disabled={e.send.isPending}
                onClick={() => e.send.mutate(null)}
            >
                Save the draft
            </Button>
            <Button
                className="shrink-0"
                onClick={() => go(e.body.code ? `/library/cards/${type}/${String(e.body.code)}` : '/library')}
            >
                {e.dirty ? 'Leave it' : 'To the card'}
            </Button>
        </div>
    );
}
