import { type FormEvent, useState } from 'react';
import type { Schemas } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import type { StepProps } from '../../floor/useStep';
import { useStep } from '../../floor/useStep';
import { HOLDS, MustHold, Requires } from './MustHold';
import type { Spec } from './model';

type Ground = Schemas['GroundView'];

/** Before a ground run: cautions read out, everybody called at their place, what must hold; then it is begun. */
export function RigBriefing({ card, step, onConflict, spec, ground }: StepProps & { spec: Spec; ground: Ground }) {
    const send = useStep({ card, step, onConflict });
    const [entries, setEntries] = useState<Record<string, string>>({});
    const set = (name: string, value: string) => setEntries((all) => ({ ...all, [name]: value }));
    const cautions = spec.ground?.cautions ?? [];
    const asked = [
        ...(cautions.length > 0 ? [`${HOLDS}cautions`] : []),
        ...(spec.requires ?? []).map((m) => HOLDS + m.id),
        ...ground.places.map((_, i) => `at:${i}`),
    ];
    const waits = asked.some((name) => (entries[name] ?? '').trim() === '');
    const submit = (e: FormEvent) => {
        e.preventDefault();
        if (!waits && !send.isPending) {
            send.mutate({ do: 'run', entries });
        }
    };
    return (
        <form onSubmit={submit} className="mt-5" data-testid="briefing">
            {ground.broken && <p className="mb-3 font-semibold text-rust">{ground.broken}. It counts as a run.</p>}
            <div className="rounded-xl border-2 border-ink bg-sheet p-4" data-testid="run-cautions">
                <b>Before ground run {ground.no}</b>
                <ul className="mt-1 text-[1.1rem]">
                    {cautions.map((c) => (
                        <li key={c}>{c}</li>
                    ))}
                    {ground.limits.map((l) => (
                        <li key={l.title}>
                            Watched all the time: {l.title}, {l.said}
                        </li>
                    ))}
                </ul>
                {ground.stop && (
                    <p className="mt-2 text-[1.2rem]">
                        The words that mean stop: <b>{ground.stop}</b>
                    </p>
                )}
                {cautions.length > 0 && (
                    <MustHold
                        must={{ id: 'cautions', title: 'Read out to everybody, and everybody answers' }}
                        value={entries[`${HOLDS}cautions`] ?? ''}
                        onValue={(v) => set(`${HOLDS}cautions`, v)}
                    />
                )}
            </div>
            <Requires of={spec.requires ?? []} entries={entries} onEntry={set} />
            <fieldset className="mt-4 rounded-xl border border-rule p-4">
                <legend className="px-1 font-semibold">Called at their places</legend>
                {ground.places.map((place, i) => (
                    <label key={place} className="mt-2 grid grid-cols-[10rem_minmax(0,1fr)] items-center gap-3">
                        {place}
                        <input
                            name={`at:${i}`}
                            placeholder="name or stamp"
                            list="crew-here"
                            autoComplete="off"
                            value={entries[`at:${i}`] ?? ''}
                            onChange={(e) => set(`at:${i}`, e.target.value)}
                            className="h-12 max-w-sm rounded-lg border-2 border-ink bg-sheet px-3"
                        />
                    </label>
                ))}
                <datalist id="crew-here">
                    {card.crew.map((p) => (
                        <option key={p} value={p} />
                    ))}
                </datalist>
            </fieldset>
            <p className="mt-3 text-soft">{ground.said}</p>
            <Trouble error={send.error} />
            <Button kind="main" big type="submit" hint="Enter" className="mt-3" disabled={waits || send.isPending}>
                Begin ground run {ground.no}
            </Button>
        </form>
    );
}

/** The run that goes on: who is where, the words that mean stop, and breaking it off. */
export function RigRunning({ card, step, onConflict, ground }: StepProps & { ground: Ground }) {
    const send = useStep({ card, step, onConflict });
    const [why, setWhy] = useState<string>();
    return (
        <div className="mt-4 rounded-xl border-2 border-rust bg-sheet p-4" data-testid="running">
            <p className="text-[1.1rem]">
                <b>Ground run {ground.no} goes on</b>, {ground.running}.
            </p>
            {ground.stop && (
                <p className="mt-1">
                    Stop: <b>{ground.stop}</b>
                </p>
            )}
            {why === undefined ? (
                <Button big className="mt-3" onClick={() => setWhy('')}>
                    Break off
                </Button>
            ) : (
                <form
                    className="mt-3 flex flex-wrap items-end gap-3"
                    onSubmit={(e) => {
                        e.preventDefault();
                        send.mutate({ do: 'run_off', note: why });
                    }}
                >
                    <label className="min-w-64 grow">
                        <span className="mb-1 block font-semibold">Back to idle first, shut down. Then: why?</span>
                        <input
                            name="why"
                            autoFocus
                            value={why}
                            onChange={(e) => setWhy(e.target.value)}
                            className="h-12 w-full rounded-lg border-2 border-ink bg-sheet px-3"
                        />
                    </label>
                    <Button big type="submit" disabled={why.trim() === '' || send.isPending}>
                        It is broken off
                    </Button>
                    <Button big kind="quiet" onClick={() => setWhy(undefined)}>
                        It goes on
                    </Button>
                </form>
            )}
            <Trouble error={send.error} />
        </div>
    );
}

/** The highest that was seen of what is watched, entered with the readings; and for how long, where it was beyond. */
export function RigWatched(props: {
    limits: Ground['limits'];
    entries: Record<string, string>;
    onEntry: (name: string, value: string) => void;
}) {
    const field = (name: string, label: string, unit: string) => (
        <label className="flex items-center gap-2">
            {label}
            <span className="flex h-12 items-center rounded-lg border-2 border-ink bg-sheet px-3">
                <input
                    name={name}
                    inputMode="decimal"
                    autoComplete="off"
                    value={props.entries[name] ?? ''}
                    onChange={(e) => props.onEntry(name, e.target.value)}
                    className="w-16 bg-transparent font-mono text-[1.3rem] font-bold outline-none"
                />
                <span className="text-soft">{unit}</span>
            </span>
        </label>
    );
    return (
        <fieldset className="mt-4 rounded-xl border border-rule p-4">
            <legend className="px-1 font-semibold">Watched in this run: the highest that was seen</legend>
            {props.limits.map((l, i) => (
                <div key={l.title} className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
                    <span className="w-40">
                        {l.title} <span className="block text-sm text-soft">{l.said}</span>
                    </span>
                    {field(`peak:${i}`, '', l.unit)}
                    {field(`beyond:${i}`, 'beyond it for', 's')}
                </div>
            ))}
        </fieldset>
    );
}
