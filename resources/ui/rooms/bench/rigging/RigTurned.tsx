import { type FormEvent, useEffect, useState } from 'react';
import type { Failure, Schemas } from '../../../api/client';
import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { unitLabel } from '../../floor/ReadingField';
import { Buckles } from './Buckles';
import { type Adjuster, opposite, type Run, turnWords } from './model';
import { TurnSign } from './TurnSign';
import { Washer } from './Washer';

type Entry = { amount: string; direction: string };
type Props = {
    run: Run;
    adjusters: Adjuster[];
    send: { isPending: boolean; error: Failure | null };
    onSave: (entries: Record<string, string>) => void;
    /** what the server foretells of what is typed, and why it does not */
    foretold: Schemas['ForetoldView'] | null;
    wrong: Failure | null;
    onTyped: (entries: Record<string, string>) => void;
};

/** What to turn, in the order of the work; and what was really turned, which is entered and not assumed. */
export function RigTurned({ run, adjusters, send, onSave, foretold, wrong, onTyped }: Props) {
    const advised = new Map(run.moves.map((m) => [m.adjuster, m]));
    const [entries, setEntries] = useState<Record<string, Entry>>(() =>
        Object.fromEntries(
            adjusters.map((a) => {
                const move = advised.get(a.id);
                const was = run.turned?.[a.id] ?? 0;
                const entered = {
                    amount: was === 0 ? '' : String(Math.abs(was)),
                    direction: was < 0 ? opposite(a.positive) : a.positive,
                };
                const meant = { amount: move ? String(move.amount) : '', direction: move?.direction ?? a.positive };
                return [a.id, run.turned === null ? meant : entered];
            }),
        ),
    );
    const typed = Object.fromEntries(
        adjusters.flatMap((a) => {
            const is = entries[a.id];
            const amount = is?.amount.trim() ?? '';
            return amount === '' ? [] : [[a.id, `${is?.direction === a.positive ? '' : '-'}${amount}`]];
        }),
    );
    const text = JSON.stringify(typed);
    // biome-ignore lint/correctness/useExhaustiveDependencies: told when what is typed changes, not at every drawing
    useEffect(() => onTyped(typed), [text]);
    const submit = (e: FormEvent) => {
        e.preventDefault();
        onSave(typed);
    };
    return (
        <form onSubmit={submit} className="mt-5 rounded-xl border border-rule bg-sheet p-4" data-testid="moves">
            <h2 className="font-semibold">
                {run.moves.length > 0 ? 'Turn, in this order' : 'Nothing is to be turned'}
            </h2>
            <ol className="mt-1 divide-y divide-rule">
                {adjusters.map((a) => {
                    const move = advised.get(a.id);
                    const is = entries[a.id] ?? { amount: '', direction: a.positive };
                    const set = (next: Partial<Entry>) => setEntries((e) => ({ ...e, [a.id]: { ...is, ...next } }));
                    return (
                        <li key={a.id} className="grid grid-cols-[2.75rem_1fr_auto] items-center gap-3 py-2">
                            <span className={move ? '' : 'opacity-30'}>
                                <TurnSign direction={is.direction} />
                            </span>
                            <span>
                                <b>{a.title}</b>
                                <span className={`block ${move ? 'text-lg font-semibold text-spruce' : 'text-soft'}`}>
                                    {move ? move.said : 'stays'}
                                </span>
                                {move?.approach && <span className="block text-sm text-soft">{move.approach}</span>}
                            </span>
                            <span className="flex items-center gap-2">
                                <label className="flex h-12 items-center rounded-lg border-2 border-ink bg-sheet px-3">
                                    <span className="sr-only">Turned: {a.title}</span>
                                    <input
                                        name={`turned-${a.id}`}
                                        inputMode="decimal"
                                        autoComplete="off"
                                        placeholder="0"
                                        value={is.amount}
                                        onChange={(e) => set({ amount: e.target.value })}
                                        className="w-16 bg-transparent text-right font-mono text-xl font-bold outline-none"
                                    />
                                    <span className="ml-2 text-soft">{unitLabel(a.unit)}</span>
                                </label>
                                <Button
                                    className="min-h-12 w-44"
                                    onClick={() => set({ direction: opposite(is.direction) })}
                                >
                                    {turnWords[is.direction] ?? is.direction}
                                </Button>
                            </span>
                            <div className="col-span-2 col-start-2 empty:hidden">
                                {foretold?.washers
                                    .filter((w) => w.adjuster === a.id)
                                    .map((w) => (
                                        <Washer key={w.adjuster} of={w} />
                                    ))}
                                {foretold?.buckles
                                    .filter((b) => b.adjuster === a.id)
                                    .map((b) => (
                                        <Buckles key={b.adjuster} of={b} />
                                    ))}
                            </div>
                        </li>
                    );
                })}
            </ol>
            {run.recheck.length > 0 && (
                <p className="mt-2 text-sm text-soft">
                    To be read again, because these touch them: {run.recheck.join(', ')}.
                </p>
            )}
            <p
                className={`mt-3 min-h-6 font-semibold ${wrong || foretold?.good === false ? 'text-rust' : 'text-spruce'}`}
                aria-live="polite"
                data-testid="foretold"
            >
                {wrong?.message ?? foretold?.sentence}
            </p>
            <Trouble error={send.error} />
            <Button kind="main" big type="submit" hint="Enter" className="mt-4" disabled={send.isPending}>
                This was turned
            </Button>
            {run.turned === null && (
                <Button className="ml-3" big disabled={send.isPending} onClick={() => onSave({})}>
                    Nothing; read again
                </Button>
            )}
            <p className="mt-2 text-sm text-soft">As it was done, not as it is advised. Empty is nothing.</p>
        </form>
    );
}
