import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useAsking } from '../../api/useAsking';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { StepWork } from '../floor/StepWork';
import type { At, Body } from './card';
import { atOf, key, same } from './card';
import { standIn } from './standIn';

type Preview = Schemas['CardPreview'];

/** What the server says of the card as it is being written, a moment after the last change. */
export function useCardPreview(type: string, body: Body): Preview | null {
    return useAsking(
        { type, body },
        (of) =>
            take(
                api.POST('/api/library/card-sets/{type}/preview', {
                    params: { path: { type: of.type } },
                    body: { body: of.body },
                }),
            ),
        250,
    ).said;
}

/** Beside the form: what is wrong, what the card leaves, and the step exactly as the technician gets it. */
export function CardLive({
    type,
    body,
    at,
    preview,
    onGo,
}: {
    type: string;
    body: Body;
    at: At | null;
    preview: Preview | null;
    onGo: (at: At | null) => void;
}) {
    const [on, setOn] = useState<'tablet' | 'paper'>('tablet');
    if (preview === null) {
        return <p className="text-soft">Reading…</p>;
    }
    const here = at === null ? 0 : preview.places.findIndex((p) => p === key(at) || p.startsWith(`${key(at)}.`));
    const step = preview.steps[here];
    const no = here + 1;
    const bad =
        at !== null &&
        preview.faults.some((f) => {
            const where = atOf(f.path);
            return where !== null && same(where, at);
        });
    return (
        <div data-testid="live">
            {preview.faults.length === 0 ? (
                <p>
                    <State state="clear" word="No fault" />
                    <span className="text-soft">
                        {' '}
                        · {preview.steps.length} {preview.steps.length === 1 ? 'step' : 'steps'} on the card
                    </span>
                </p>
            ) : (
                <section className="rounded-lg border-2 border-rust bg-rust-wash px-3 py-2" data-testid="faults">
                    <p className="font-semibold">
                        <State state="stop" word={`${preview.faults.length} to put right`} />
                    </p>
                    <ul className="max-h-44 overflow-auto">
                        {preview.faults.map((f) => (
                            <li key={f.path + f.message}>
                                <button
                                    type="button"
                                    className="min-h-9 text-left underline underline-offset-4"
                                    onClick={() => onGo(atOf(f.path))}
                                >
                                    {f.place}
                                </button>{' '}
                                {f.message}
                            </li>
                        ))}
                    </ul>
                </section>
            )}
            {preview.leaves.length > 0 && (
                <ul className="mt-2 rounded-lg border-2 border-ochre bg-ochre-wash px-3 py-2" data-testid="leaves">
                    {preview.leaves.map((l) => (
                        <li key={l}>
                            <State state="watch" word="Meant?" /> {l}
                        </li>
                    ))}
                </ul>
            )}
            <div className="mt-3 flex items-center justify-between border-b border-rule pb-1">
                <h2 className="font-semibold">As the technician gets it</h2>
                <Choice
                    label="Shown as"
                    value={on}
                    options={[
                        { value: 'tablet', name: 'Tablet' },
                        { value: 'paper', name: 'Paper' },
                    ]}
                    onChange={setOn}
                />
            </div>
            {preview.steps.length === 0 && (
                <p className="mt-3 text-soft">It is shown as soon as its steps have no fault.</p>
            )}
            {on === 'tablet' && step && bad && <p className="mt-3 text-soft">Shown as soon as it has no fault.</p>}
            {on === 'tablet' && step && !bad && (
                <div inert className="mt-2 rounded-lg border border-rule bg-paper px-4 pt-2 pb-4" data-testid="tablet">
                    <p className="text-soft">
                        Step {step.no} of {preview.steps.length}
                    </p>
                    <StepWork
                        key={`${step.no} ${step.kind}`}
                        card={standIn(type, body, preview)}
                        step={step}
                        may
                        onWrong={() => undefined}
                        onConflict={() => undefined}
                    />
                </div>
            )}
            {on === 'paper' && <Sheet steps={preview.steps} paper={preview.paper} no={no} />}
        </div>
    );
}

/** The lines of the print, step by step, with the one in hand in sight. */
function Sheet({ steps, paper, no }: { steps: Preview['steps']; paper: string[]; no: number }) {
    return (
        <ol
            className="mt-2 max-h-[60vh] overflow-auto border border-rule bg-sheet p-4 text-[0.8rem]"
            data-testid="paper"
        >
            {steps.map((s, i) => (
                <li
                    key={s.no}
                    className={`grid grid-cols-[1.6rem_minmax(0,1fr)_3.2rem] gap-2 border-b border-rule py-1.5 ${s.no === no ? 'bg-ochre-wash' : ''}`}
                >
                    <b className="text-right">{s.no}</b>
                    <div>
                        {s.kind === 'caution' && (
                            <p className="border border-ink px-1 font-bold">
                                {String(s.spec.level ?? 'caution').toUpperCase()}: {s.title}. {s.text}
                            </p>
                        )}
                        {s.kind !== 'caution' && (
                            <>
                                <b>{s.title}</b>
                                {s.text !== '' && <p>{s.text}</p>}
                            </>
                        )}
                        {(paper[i] ?? '').split('\n').map((line) => (
                            <p key={line}>{line}</p>
                        ))}
                    </div>
                    <span className="h-7 border border-ink" aria-hidden="true" />
                </li>
            ))}
        </ol>
    );
}
