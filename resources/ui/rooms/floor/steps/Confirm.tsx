import { useState } from 'react';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';
import { Keys } from './Keys';
import { Tick } from './Part';

const confirmWords: Record<string, string> = {
    caution: 'Go on',
    instruction: 'Done',
    finding_prompt: 'Looked at; nothing more found',
    safing_fit: 'Fitted',
    safing_remove: 'Removed',
};

const ticks: Record<string, string | undefined> = {
    warning: 'I have read this warning, and so have those who work with me',
    safing_fit: 'It is on, where it says, and its flag shows',
    safing_remove: 'It is off, and its flag with it',
};

/** Read, looked at, done; a device on or off. */
export function ConfirmStep({ card, step, onWrong, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const ready = useDeliberate();
    const [said, setSaid] = useState(false);
    // What may hurt somebody, and what others will rely on, is said before it is confirmed.
    const tick = ticks[step.kind === 'caution' ? String(step.spec.level ?? 'caution') : step.kind];
    const may = ready && !send.isPending && (tick === undefined || said);
    const done = () => may && send.mutate({ do: 'done' });
    useEnter(done, true);
    const device = card.safing.find((d) => d.removerCard === card.id && d.removerStep === step.no);
    return (
        <>
            {step.kind === 'safing_fit' && (
                <Plate
                    title={String(step.spec.device)}
                    lines={[
                        String(step.spec.place),
                        String(step.spec.flag),
                        ...(step.spec.storage ? [`kept: ${String(step.spec.storage)}`] : []),
                    ]}
                />
            )}
            {step.kind === 'safing_remove' && device && (
                <Plate
                    title={device.kind}
                    lines={[
                        device.place,
                        device.flag,
                        `since ${device.since}, ${device.by}`,
                        ...(device.storage ? [`kept: ${device.storage}`] : []),
                    ]}
                />
            )}
            {tick !== undefined && (
                <div className="mt-5 max-w-xl">
                    <Tick checked={said} onChange={setSaid} label={tick} />
                </div>
            )}
            <Keys
                send={send}
                says={confirmWords[step.kind] ?? 'Done'}
                hint="Enter"
                ready={may}
                onSave={done}
                onWrong={step.kind === 'caution' ? undefined : onWrong}
            />
        </>
    );
}

/** A device as its flag hangs: what, where, and what hangs on it. */
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
