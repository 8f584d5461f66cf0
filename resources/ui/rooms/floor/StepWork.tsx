import { type ReactNode, useEffect, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Caution, Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import { band, type LimitSpec } from '../../parts/scale';
import { RigSheet } from '../bench/RigSheet';
import { ReadingField, type ReadingSpec, useTool } from './ReadingField';

export type StepProps = {
    card: Schemas['CardView'];
    step: Schemas['StepView'];
    may: boolean;
    onWrong: () => void;
    onConflict: (said: string) => void;
};
export type StepBody = { version: number; do: string; entry?: string; entries?: Record<string, string>; tool?: string; note?: string };

/** Sends an answer to a step; the card that comes back is shown as it is. */
export function useStep({ card, step, onConflict }: Pick<StepProps, 'card' | 'step' | 'onConflict'>) {
    return useSend(
        (body: StepBody, headers) =>
            take(api.POST('/api/cards/{id}/steps/{no}', { params: { path: { id: card.id, no: step.no } }, body, headers })),
        undefined,
        (error, body) => {
            if (error.status === 409) {
                const kept = [body.entry, ...Object.values(body.entries ?? {})].filter((v) => v);
                onConflict(
                    `${error.message}${kept.length > 0 ? ` Your entry for step ${step.no}, not yet sent: ${kept.join(', ')}.` : ''}`,
                );
            }
        },
    );
}

/** The step in hand, with the control its kind needs. */
export function StepWork(props: StepProps) {
    const { card, step, may } = props;
    const body = (): ReactNode => {
        if (step.state === 'done') {
            return <DoneStep {...props} />;
        }
        if (!may) {
            return (
                <p className="mt-4 text-soft">
                    {card.held
                        ? ''
                        : card.state === 'signed' || card.state === 'closed'
                          ? 'The card is signed.'
                          : 'Only somebody assigned to this card can work it.'}
                </p>
            );
        }
        switch (step.kind) {
            case 'measurement':
            case 'torque':
                return <ReadStep {...props} />;
            case 'test':
                return <TestStep {...props} />;
            case 'rig':
                return <RigSheet {...props} />;
            default:
                return <ConfirmStep {...props} />;
        }
    };
    return (
        <div className="mt-2" data-testid={`step-${step.no}`}>
            {step.kind === 'caution' ? (
                <div className="mt-4 text-[1.15rem]">
                    <Caution level={(step.spec.level as 'warning' | 'caution') ?? 'caution'} title={step.title}>
                        {step.text}
                    </Caution>
                </div>
            ) : (
                <>
                    <h1 className="text-[1.6rem] leading-tight font-semibold">{step.title}</h1>
                    <p className="mt-1 text-[1.05rem] text-soft">{step.text}</p>
                </>
            )}
            {step.held && step.state !== 'done' && (
                <p className="mt-4 rounded-lg border-2 border-dashed border-slate p-3">
                    <State state="waiting" word="Held." /> {step.held}
                </p>
            )}
            {(step.held === null || step.state === 'done') && body()}
        </div>
    );
}

/** Enter confirms, unless something is being typed. */
export function useEnter(run: () => void, on: boolean) {
    useEffect(() => {
        const onKey = (e: KeyboardEvent) => {
            const t = e.target;
            if (on && e.key === 'Enter' && !(t instanceof HTMLElement && t.closest('input, textarea, select, button, a, [role=dialog]'))) {
                e.preventDefault();
                run();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
}

const confirmWords: Record<string, string> = {
    caution: 'Read and understood',
    instruction: 'Done',
    finding_prompt: 'Looked at; nothing more found',
    safing_fit: 'Fitted, flag showing',
    safing_remove: 'Removed, flag back',
};

function ConfirmStep({ card, step, onWrong, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const done = () => !send.isPending && send.mutate({ version: card.version, do: 'done' });
    useEnter(done, true);
    const device = card.safing.find((d) => d.cardId === card.id && d.removedBy === step.no);
    return (
        <>
            {step.kind === 'safing_fit' && (
                <Plate title={String(step.spec.device)} lines={[String(step.spec.place), String(step.spec.flag)]} />
            )}
            {step.kind === 'safing_remove' && device && (
                <Plate title={device.kind} lines={[device.place, device.flag, `since ${device.since}, ${device.by}`]} />
            )}
            <Trouble error={send.error} />
            <div className="mt-8 flex gap-3">
                <Button kind="main" big hint="Enter" disabled={send.isPending} onClick={done}>
                    {confirmWords[step.kind] ?? 'Done'}
                </Button>
                {step.kind !== 'caution' && (
                    <Button big onClick={onWrong}>
                        Something is wrong
                    </Button>
                )}
            </div>
        </>
    );
}

function Plate({ title, lines }: { title: string; lines: string[] }) {
    return (
        <div className="mt-5 inline-flex overflow-hidden rounded-lg border-2 border-ink bg-sheet">
            <span className="w-4 bg-rust" aria-hidden="true" />
            <span className="px-5 py-3">
                <b className="text-[1.2rem]">{title}</b>
                {lines.map((l) => (
                    <span key={l} className="block text-soft">
                        {l}
                    </span>
                ))}
            </span>
        </div>
    );
}

function ReadStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec.reading as ReadingSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind);
    const last = step.readings.filter((r) => r.stands).at(-1);
    const keep = () => send.mutate({ version: card.version, do: 'read', entry, tool });
    return (
        <>
            <ReadingField card={card} step={step} spec={spec} entry={entry} onEntry={setEntry} tool={tool} onTool={setTool} onKeep={keep} />
            {last && last.verdict !== 'pass' && (
                <p className="mt-3 rounded-lg border-2 border-rust bg-rust-wash p-3" role="status">
                    Kept: <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Find out why, put it right and read again, or
                    raise a finding.
                </p>
            )}
            <Trouble error={send.error} />
            <div className="mt-6 flex gap-3">
                <Button kind="main" big hint="Enter" disabled={entry === '' || send.isPending} onClick={keep}>
                    Keep the reading
                </Button>
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
        </>
    );
}

type TestSpec = { setup: string[]; restore: string[]; hold: { seconds: number; what: string }; reading: ReadingSpec };

function TestStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as TestSpec;
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.reading.tool_kind);
    const [now, setNow] = useState(Date.now());
    const [seen] = useState(Date.now());
    const [base, setBase] = useState({ held: step.heldFor ?? 0, at: seen });
    useEffect(() => setBase({ held: step.heldFor ?? 0, at: Date.now() }), [step.heldFor]);
    useEffect(() => {
        const timer = setInterval(() => setNow(Date.now()), 200);
        return () => clearInterval(timer);
    }, []);
    const running = step.startedAt !== null;
    const held = running ? base.held + Math.max(0, now - base.at) / 1000 : 0;
    const over = running && held >= spec.hold.seconds + 0.5;
    const start = () => !running && !send.isPending && send.mutate({ version: card.version, do: 'start' });
    const keep = () => send.mutate({ version: card.version, do: 'read', entry, tool });
    useEnter(start, !running);
    const last = step.readings.filter((r) => r.stands).at(-1);
    return (
        <>
            <div className="mt-4 flex flex-wrap items-center gap-8">
                <Hold held={Math.min(held, spec.hold.seconds)} of={spec.hold.seconds} />
                <div>
                    <h2 className="font-semibold">Set up</h2>
                    <ol className="mb-2 list-decimal pl-5">
                        {spec.setup.map((s) => (
                            <li key={s}>{s}</li>
                        ))}
                    </ol>
                    <h2 className="font-semibold">Hold for {spec.hold.seconds} s</h2>
                    <p>{spec.hold.what}</p>
                </div>
            </div>
            {last && last.verdict !== 'pass' && (
                <p className="mt-3 rounded-lg border-2 border-rust bg-rust-wash p-3" role="status">
                    The last try read <b className="font-mono">{last.value}</b> {last.unit}, {last.said}. Put it right, then hold again.
                </p>
            )}
            {over && (
                <ReadingField
                    card={card}
                    step={step}
                    spec={spec.reading}
                    entry={entry}
                    onEntry={setEntry}
                    tool={tool}
                    onTool={setTool}
                    onKeep={keep}
                />
            )}
            <Trouble error={send.error} />
            <div className="mt-6 flex gap-3">
                {!running && (
                    <Button kind="main" big hint="Enter" onClick={start} disabled={send.isPending}>
                        Set up; start the hold
                    </Button>
                )}
                {over && (
                    <Button kind="main" big hint="Enter" disabled={entry === '' || send.isPending} onClick={keep}>
                        Keep the reading
                    </Button>
                )}
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
            {over && <p className="mt-4 text-soft">Afterwards: {spec.restore.join('; ')}.</p>}
        </>
    );
}

/** A hold's time as a ring that fills. */
function Hold({ held, of }: { held: number; of: number }) {
    const length = 2 * Math.PI * 52;
    return (
        <svg viewBox="0 0 128 128" className="size-32 shrink-0" role="timer" aria-label={`${Math.floor(held)} of ${of} seconds held`}>
            <circle cx="64" cy="64" r="52" fill="none" className="stroke-shade" strokeWidth="10" />
            <circle
                cx="64"
                cy="64"
                r="52"
                fill="none"
                className="stroke-spruce"
                strokeWidth="10"
                strokeDasharray={`${(held / of) * length} ${length}`}
                transform="rotate(-90 64 64)"
            />
            <text x="64" y="70" textAnchor="middle" className="fill-ink font-mono text-[26px] font-bold">
                {Math.floor(held)}
            </text>
            <text x="64" y="88" textAnchor="middle" className="fill-soft text-[12px]">
                of {of} s
            </text>
        </svg>
    );
}

function DoneStep({ card, step, may, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const [why, setWhy] = useState('');
    const [asking, setAsking] = useState(false);
    return (
        <div className="mt-5">
            <p>
                <State state="clear" word="Done" /> by {step.doneBy}, {step.doneAt}.
            </p>
            {step.readings.length > 0 && (
                <table className="mt-3 text-left">
                    <tbody>
                        {step.readings.map((r, i) => (
                            // biome-ignore lint/suspicious/noArrayIndexKey: readings are only ever added
                            <tr key={i} className={`border-t border-rule/60 ${r.stands ? '' : 'text-soft'}`}>
                                <td className="py-1 pr-6">
                                    {r.point} {r.phase !== 'reading' && `(${r.phase.replace('_', '-')}, run ${r.run})`}
                                </td>
                                <td className="pr-2 text-right font-mono">{r.value}</td>
                                <td className="pr-6">{r.unit}</td>
                                <td className="pr-6">
                                    {r.said}
                                    {!r.stands && r.phase !== 'as_found' && ', superseded'}
                                </td>
                                <td className="font-mono text-sm">{r.tool}</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {step.readings.length > 0 && step.kind !== 'rig' && <Limits spec={step.spec} />}
            {may && !step.kind.startsWith('safing') && (
                <div className="mt-5">
                    {asking ? (
                        <form
                            className="flex max-w-xl gap-2"
                            onSubmit={(e) => {
                                e.preventDefault();
                                send.mutate({ version: card.version, do: 'reopen', note: why });
                            }}
                        >
                            <input
                                autoFocus
                                value={why}
                                onChange={(e) => setWhy(e.target.value)}
                                aria-label="Why it is taken back"
                                placeholder="Why? The first entry stays in the record."
                                className="h-12 flex-1 rounded-lg border-2 border-soft bg-sheet px-3"
                            />
                            <Button big type="submit" disabled={why === '' || send.isPending}>
                                Take back
                            </Button>
                        </form>
                    ) : (
                        <Button kind="quiet" onClick={() => setAsking(true)}>
                            Take this step back
                        </Button>
                    )}
                    <Trouble error={send.error} />
                </div>
            )}
        </div>
    );
}

function Limits({ spec }: { spec: Record<string, unknown> }) {
    const limit = (spec.reading as ReadingSpec | undefined)?.limit as LimitSpec | undefined;
    if (!limit) {
        return null;
    }
    const { low, high } = band(limit);
    return (
        <p className="mt-2 text-sm text-soft">
            Limits: {low === null ? `at most ${high}` : high === null ? `at least ${low}` : `${low} to ${high}`} {limit.unit}.
        </p>
    );
}
