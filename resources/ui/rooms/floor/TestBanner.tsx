import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { unitLabel } from './ReadingField';
import { type StepProps, useStep } from './useStep';

type Test = Schemas['TestView'];

export const testOf = (card: Schemas['CardView'], step: Schemas['StepView']): Test | undefined => {
    const key = (step.spec.test as { key: string } | undefined)?.key;
    return key === undefined ? undefined : card.tests.find((t) => t.key === key);
};

/** The test that a step belongs to: which attempt goes on, what is watched meanwhile, the words that mean stop. */
export function TestBanner({ card, step, may, onConflict }: StepProps) {
    const test = testOf(card, step);
    const [off, setOff] = useState(false);
    if (test === undefined) {
        return null;
    }
    return (
        <section
            className={`my-3 rounded-lg border-2 bg-sheet px-4 py-2 ${test.running ? 'border-ink' : 'border-rule'}`}
            aria-label={`Test: ${test.title}`}
            data-testid="test"
        >
            <div className="flex flex-wrap items-center justify-between gap-3">
                <p>
                    <b>{test.title}</b>
                    <span className="block text-soft">{test.sentence}</span>
                </p>
                {test.mayBreakOff && may && (
                    <Button big onClick={() => setOff(true)}>
                        Break off
                    </Button>
                )}
            </div>
            {test.running && (test.limits.length > 0 || test.stop) && (
                <p className="mt-1 border-t border-rule pt-1 text-[0.95rem]">
                    {test.stop && (
                        <>
                            Stop on <b className="font-mono">{test.stop}</b>
                            {test.limits.length > 0 && '. '}
                        </>
                    )}
                    {test.limits.length > 0 && <>Watch: {test.limits.join('; ')}.</>}
                </p>
            )}
            {off && (
                <BreakOffTest
                    card={card}
                    step={step}
                    test={test}
                    onConflict={onConflict}
                    onClose={() => setOff(false)}
                />
            )}
        </section>
    );
}

const ends = [
    { value: 'broken_off', name: 'Broken off' },
    { value: 'invalid', name: 'Not valid: set up or read wrongly' },
] as const;

/** An attempt is broken off: why, and what was exceeded. Stopping comes first; this only says it. */
function BreakOffTest({
    card,
    step,
    test,
    onConflict,
    onClose,
}: Pick<StepProps, 'card' | 'step' | 'onConflict'> & { test: Test; onClose: () => void }) {
    const send = useStep({ card, step, onConflict });
    const [why, setWhy] = useState('');
    const [as, setAs] = useState<'broken_off' | 'invalid'>('broken_off');
    const [table, setTable] = useState('');
    const [peak, setPeak] = useState('');
    const [seconds, setSeconds] = useState('');
    const over = test.tables.find((t) => `${t.rule} ${t.position}` === table);
    return (
        <FormDialog
            title={`Break off: ${test.title}`}
            action="It is stopped"
            ready={why.trim() !== '' && (over === undefined || (peak !== '' && seconds !== ''))}
            send={send}
            onSend={() =>
                send.mutate(
                    {
                        do: 'break_off',
                        note: why,
                        entries: {
                            as,
                            ...(over ? { rule: over.rule, position: over.position, peak, seconds } : {}),
                        },
                    },
                    { onSuccess: onClose },
                )
            }
            onClose={onClose}
        >
            <p>Stop first: power and pressure off, nothing moves. The attempt is kept; everything is then put back.</p>
            <Choice big label="What it is" options={ends} value={as} onChange={setAs} />
            <Field label="Why?" name="why" autoFocus value={why} onChange={(e) => setWhy(e.target.value)} />
            {test.tables.length > 0 && (
                <label className="block">
                    <span className="mb-1 block font-semibold">Was a limit exceeded?</span>
                    <select
                        name="limit"
                        className="h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3"
                        value={table}
                        onChange={(e) => setTable(e.target.value)}
                    >
                        <option value="">No</option>
                        {test.tables.map((t) => (
                            <option key={`${t.rule} ${t.position}`} value={`${t.rule} ${t.position}`}>
                                {t.title}, {t.position}
                            </option>
                        ))}
                    </select>
                </label>
            )}
            {over && (
                <div className="grid grid-cols-2 gap-3">
                    <Field
                        label={`Peak, ${unitLabel(over.unit)}`}
                        name="peak"
                        inputMode="decimal"
                        value={peak}
                        onChange={(e) => setPeak(e.target.value)}
                    />
                    <Field
                        label="For how many seconds"
                        name="seconds"
                        inputMode="decimal"
                        value={seconds}
                        onChange={(e) => setSeconds(e.target.value)}
                    />
                </div>
            )}
            {test.inspect.length > 0 && <p className="text-soft">To be inspected then: {test.inspect.join('; ')}.</p>}
        </FormDialog>
    );
}

/** Every attempt at a test, the last one first, each with the way to it as it was. */
export function AttemptList({ attempts }: { attempts: Schemas['AttemptView'][] }) {
    return attempts.length === 0 ? null : (
        <ul className="mt-4 max-w-3xl divide-y divide-rule border-y border-rule" data-testid="attempts">
            {attempts.map((a) => (
                <li key={a.id} className="flex min-h-12 flex-wrap items-center gap-x-3 py-1">
                    <State state={a.look as 'clear'} word={`Attempt ${a.no}: ${a.word.toLowerCase()}`} />
                    {!a.stands && <span className="text-soft">(no longer stands)</span>}
                    <span className="text-soft">{a.said}</span>
                    <Link className="ml-auto underline underline-offset-4" to={`/bench/attempts/${a.id}`}>
                        as it was
                    </Link>
                </li>
            ))}
        </ul>
    );
}
