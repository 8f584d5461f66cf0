import { useState } from 'react';
import { short } from '../../../parts/dates';
import { Glyph } from '../../../parts/State';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';

type Spec = { part: string; quantity: number; position: string; seat?: boolean; lubricate?: string };

/** A part goes on: its batch, and the care that its place asks for. */
export function PartStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as unknown as Spec;
    const part = card.parts.find((p) => p.number === spec.part);
    const usable = part?.batches.filter((b) => b.usable) ?? [];
    const send = useStep({ card, step, onConflict });
    const [batch, setBatch] = useState(usable.length === 1 ? (usable[0]?.batch ?? '') : '');
    const [again, setAgain] = useState(false);
    const [seat, setSeat] = useState(false);
    const [oiled, setOiled] = useState(false);
    const fit = () =>
        send.mutate({
            do: 'fit',
            entries: {
                batch,
                again: again ? 'yes' : 'no',
                seat: seat ? 'yes' : 'no',
                lubricated: oiled ? 'yes' : 'no',
            },
        });
    return (
        <>
            <p className="mt-4 text-[1.15rem]">
                <b className="font-mono">
                    {spec.quantity} × {spec.part}
                </b>{' '}
                {part?.title}, at {spec.position}
            </p>
            <p className={part?.effective === false ? 'font-semibold text-rust' : 'text-soft'}>
                <Glyph state={part?.effective === false ? 'stop' : 'clear'} />{' '}
                {part?.effectivity
                    ? `Fits ${part.effectivity}; ${card.mark} is ${card.effectivity}.`
                    : `Fits every ${card.type}.`}
                {part?.oneTime && ' Never used twice: a new one each time.'}
            </p>
            <div className="mt-4 grid max-w-2xl gap-2">
                {part?.batches.map((b) => (
                    <label
                        key={b.batch}
                        className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${batch === b.batch && !again ? 'border-ink' : 'border-rule'}`}
                    >
                        <input
                            type="radio"
                            name="batch"
                            value={b.batch}
                            className="size-6 shrink-0 accent-spruce"
                            checked={batch === b.batch && !again}
                            onChange={() => {
                                setBatch(b.batch);
                                setAgain(false);
                            }}
                        />
                        <b className="font-mono">{b.batch}</b>
                        <span className={b.usable ? 'text-soft' : 'text-rust'}>
                            {b.quantity} in stock{b.expires && `, good until ${short(b.expires)}`}
                            {b.why && `; ${b.why}`}
                        </span>
                    </label>
                ))}
                {part !== undefined && !part.oneTime && (
                    <label
                        className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${again ? 'border-ink' : 'border-rule'}`}
                    >
                        <input
                            type="radio"
                            name="batch"
                            className="size-6 shrink-0 accent-spruce"
                            checked={again}
                            onChange={() => setAgain(true)}
                        />
                        The one that was there, looked over
                    </label>
                )}
                {spec.seat && (
                    <Tick checked={seat} onChange={setSeat} label="Seat and groove looked at: clean, no score" />
                )}
                {spec.lubricate && (
                    <Tick checked={oiled} onChange={setOiled} label={`Lubricated with ${spec.lubricate}`} />
                )}
            </div>
            <Keys send={send} says="Fitted" ready={batch !== '' || again} onSave={fit} onWrong={onWrong} />
        </>
    );
}

export function Tick({
    checked,
    onChange,
    label,
}: {
    checked: boolean;
    onChange: (v: boolean) => void;
    label: string;
}) {
    return (
        <label
            className={`flex min-h-14 items-center gap-3 rounded-lg border-2 bg-sheet px-4 ${checked ? 'border-ink' : 'border-rule'}`}
        >
            <input
                type="checkbox"
                className="size-6 shrink-0 accent-spruce"
                checked={checked}
                onChange={(e) => onChange(e.target.checked)}
            />
            {label}
        </label>
    );
}
