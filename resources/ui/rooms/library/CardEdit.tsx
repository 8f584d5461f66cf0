import { useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useCardChoices, useCardTemplate } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Trouble, Wait } from '../../parts/Page';
import { row } from '../../parts/row';
import { CardHead } from './CardHead';
import { CardLive, useCardPreview } from './CardLive';
import { CopySteps } from './CopySteps';
import { atOf, type Body, blankCard, changed, isBlock, key } from './card';
import { EditBar } from './EditBar';
import { StepForm } from './StepForm';
import { StepList } from './StepList';
import { type EditorState, useEditor } from './useEditor';

/** A card that is there, or a new one of a type, being written. */
export function CardEdit() {
    const { type = '', '*': code = '' } = useParams();
    return code === '' ? <NewCard type={type} /> : <OldCard type={type} code={code} />;
}

function NewCard({ type }: { type: string }) {
    return (
        <Wait query={useCardChoices(type)}>
            {(choices) => (
                <Editor
                    type={type}
                    choices={choices}
                    start={blankCard(choices.manuals[0] ?? '', choices.revision)}
                    draft={null}
                    note=""
                />
            )}
        </Wait>
    );
}

function OldCard({ type, code }: { type: string; code: string }) {
    return (
        <Wait query={useCardTemplate(type, code)}>
            {(room) => (
                <Editor
                    key={code}
                    type={type}
                    choices={room.choices}
                    start={(room.draft ?? room.inForce) as unknown as Body}
                    draft={room.draftVersion}
                    note={room.draft ? room.note : ''}
                />
            )}
        </Wait>
    );
}

type Props = {
    type: string;
    choices: Schemas['CardChoices'];
    start: Body;
    draft: number | null;
    note: string;
};

/** The steps on the left, what is written in the middle, and beside it what the technician will get. */
function Editor({ type, choices, start, draft, note }: Props) {
    const e = useEditor(type, start, draft, note);
    const { body, step, at } = e;
    const [copying, setCopying] = useState(false);
    const preview = useCardPreview(type, body);
    const faults = preview?.faults ?? [];
    return (
        <main data-fills="" className="flex min-h-0 min-w-0 flex-1 flex-col">
            <EditBar type={type} e={e} />
            <div className="px-4">
                <Trouble error={e.send.error} />
            </div>
            <div className="grid min-h-0 flex-1 grid-cols-[15.5rem_minmax(0,1fr)_minmax(0,1.05fr)]">
                <Left e={e} faults={faults} onCopy={() => setCopying(true)} />
                <section className="overflow-auto px-4 py-3" aria-label="What is written">
                    {step && at ? (
                        <>
                            <StepForm
                                key={key(at)}
                                type={type}
                                step={step}
                                at={at.k === null ? `steps.${at.i}` : `steps.${at.i}.spec.steps.${at.k}`}
                                choices={choices}
                                faults={faults}
                                onChange={(one, what) =>
                                    e.steps(changed(body.steps, at, one), what === null ? null : `${key(at)} ${what}`)
                                }
                            />
                            {isBlock(step.kind) && (
                                <Button className="mt-3" onClick={e.fill}>
                                    New step in the block
                                </Button>
                            )}
                        </>
                    ) : (
                        <CardHead
                            body={body}
                            fixed={e.seen !== null || start.code !== ''}
                            choices={choices}
                            faults={faults}
                            onChange={e.write}
                        />
                    )}
                </section>
                <aside className="overflow-auto border-l border-rule px-4 py-3">
                    <CardLive type={type} body={body} at={at} preview={preview} onGo={e.choose} />
                </aside>
            </div>
            {copying && (
                <CopySteps
                    type={type}
                    cards={choices.cards}
                    onCopy={(more) => {
                        e.add(...more);
                        setCopying(false);
                    }}
                    onClose={() => setCopying(false)}
                />
            )}
        </main>
    );
}

function Left({ e, faults, onCopy }: { e: EditorState; faults: Schemas['FaultView'][]; onCopy: () => void }) {
    const bad = new Set(
        faults.flatMap((f) => {
            const where = atOf(f.path);
            return where ? [key(where)] : [];
        }),
    );
    return (
        <aside className="flex min-h-0 flex-col border-r border-rule">
            <div className="min-h-0 flex-1 overflow-auto px-2 py-3">
                <button
                    type="button"
                    aria-current={e.at === null ? 'step' : undefined}
                    onClick={() => e.choose(null)}
                    className={`mb-1 min-h-10 ${row(e.at === null)}`}
                >
                    The card, and what it needs
                </button>
                <StepList
                    steps={e.body.steps}
                    at={e.at ?? { i: -1, k: null }}
                    bad={bad}
                    onChoose={e.choose}
                    onMove={e.carry}
                />
            </div>
            <div className="grid grid-cols-6 gap-1.5 border-t border-rule px-2 py-2 text-sm">
                <Button className="col-span-3 px-1!" title="Ctrl ↵" onClick={e.fresh}>
                    New step
                </Button>
                <Button className="col-span-3 px-1!" onClick={onCopy}>
                    Copy …
                </Button>
                {e.step && (
                    <>
                        <Button className="col-span-2 px-1!" title="Ctrl D" onClick={e.double}>
                            Double
                        </Button>
                        <Button className="px-1!" aria-label="Up" title="Ctrl Alt ↑" onClick={() => e.shift(-1)}>
                            ↑
                        </Button>
                        <Button className="px-1!" aria-label="Down" title="Ctrl Alt ↓" onClick={() => e.shift(1)}>
                            ↓
                        </Button>
                        <Button className="col-span-2 px-1!" onClick={e.drop}>
                            Remove
                        </Button>
                    </>
                )}
            </div>
        </aside>
    );
}
