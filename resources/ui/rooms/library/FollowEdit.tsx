import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useCardChoices, useFollows, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Choice } from '../../parts/Tabs';
import { begun, redone, undone, written } from './card';
import { FollowBeside, usePreview } from './FollowBeside';
import { Opens } from './FollowParts';
import { Table } from './FollowTable';
import { bodyOf, draftOf, noRule, type RuleDraft } from './follow';

/** A rule of what follows is written here; beside it, what it would do, and for which findings it would have held. */
export function FollowEdit() {
    const type = useParams().type ?? '';
    const from = Number(useSearchParams()[0].get('from') ?? 0);
    return (
        <Wait query={useFollows()}>
            {(room) => (
                <Write key={from} type={type} units={room.units} from={room.rules.find((r) => r.id === from) ?? null} />
            )}
        </Wait>
    );
}

function Write({ type, units, from }: { type: string; units: string[]; from: Schemas['FollowRuleView'] | null }) {
    const go = useNavigate();
    const [history, setHistory] = useState(begun(from === null ? noRule : draftOf(from.body)));
    const [typing, setTyping] = useState('');
    const [reason, setReason] = useState('');
    const d = history.now;
    const cards = useCardChoices(type).data?.cards ?? [];
    const preview = usePreview(type, d);
    const set = (part: Partial<RuleDraft>) => {
        const what = Object.keys(part).join();
        setHistory((h) => written(h, { ...h.now, ...part }, what === typing));
        setTyping(what);
    };
    const text = (name: 'code' | 'title' | 'source' | 'chapters' | 'quantity' | 'chapter' | 'limit' | 'positions') => ({
        name,
        value: d[name],
        autoComplete: 'off',
        onChange: (e: { target: { value: string } }) => set({ [name]: e.target.value }),
    });
    const send = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/library/follows/{type}', {
                    params: { path: { type } },
                    body: { body: bodyOf(d), reason, ...(from === null ? {} : { version: from.latest }) },
                    headers,
                }),
            ),
        () => void go('/library/follows'),
        { affects: touches.library },
    );
    return (
        <Page
            over={`${type}: what follows`}
            sentence={d.title || (from === null ? 'A new rule' : from.code)}
            actions={
                <>
                    <Button disabled={history.past.length === 0} onClick={() => setHistory(undone)}>
                        Undo
                    </Button>
                    <Button disabled={history.next.length === 0} onClick={() => setHistory(redone)}>
                        Redo
                    </Button>
                    <Button onClick={() => go('/library/follows')}>Leave it</Button>
                    <Button
                        kind="main"
                        disabled={send.isPending || preview === null || preview.at !== null}
                        onClick={() => send.mutate(null)}
                    >
                        Propose it
                    </Button>
                </>
            }
        >
            <div className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8 max-[1100px]:grid-cols-1">
                <div className="space-y-4">
                    <Choice
                        label="Follows from"
                        options={[
                            { value: 'found', name: 'from a finding' },
                            { value: 'exceeded', name: 'from an exceeded limit' },
                        ]}
                        value={d.of}
                        onChange={(of) => set({ of })}
                    />
                    <div className="grid grid-cols-[10rem_minmax(0,1fr)_14rem] gap-3">
                        <Field
                            label="Number"
                            disabled={from !== null}
                            placeholder={`${type}-F-SEAL`}
                            {...text('code')}
                        />
                        <Field label="Title" {...text('title')} />
                        <Field label="Where it is from" placeholder="manual, section" {...text('source')} />
                    </div>
                    {d.of === 'found' ? (
                        <>
                            <Words words={d.words} onWords={(words) => set({ words })} />
                            <Field
                                label="Chapters"
                                hint="With commas; none is every chapter."
                                placeholder="29, 32-40"
                                {...text('chapters')}
                            />
                            <Opens opens={d.opens} cards={cards} onOpens={(opens) => set({ opens })} />
                        </>
                    ) : (
                        <Table draft={d} text={text} units={units} cards={cards} set={set} />
                    )}
                    <Field
                        label="What is changed, and why"
                        name="reason"
                        value={reason}
                        onChange={(e) => setReason(e.target.value)}
                    />
                    <Trouble error={send.error} />
                </div>
                <FollowBeside preview={preview} />
            </div>
        </Page>
    );
}

function Words({ words, onWords }: { words: string[]; onWords: (words: string[]) => void }) {
    return (
        <fieldset>
            <legend className="font-semibold">The finding says one of each list</legend>
            {words.map((w, i) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the lists have no names but their places
                <div key={i} className="mt-1 flex gap-2">
                    <input
                        aria-label={`List ${i + 1}`}
                        name={`words-${i}`}
                        placeholder={i === 0 ? 'seal, gasket, packing' : 'cut, torn'}
                        className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3 text-[1.05rem]"
                        value={w}
                        onChange={(e) => onWords(words.map((o, k) => (k === i ? e.target.value : o)))}
                    />
                    {words.length > 1 && (
                        <Button onClick={() => onWords(words.filter((_, k) => k !== i))}>Remove</Button>
                    )}
                </div>
            ))}
            <Button kind="quiet" onClick={() => onWords([...words, ''])}>
                and one of another list
            </Button>
        </fieldset>
    );
}
