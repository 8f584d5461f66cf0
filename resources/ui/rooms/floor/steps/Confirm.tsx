import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { type StepProps, useEnter, useStep } from '../useStep';

const confirmWords: Record<string, string> = {
    caution: 'Read and understood',
    instruction: 'Done',
    finding_prompt: 'Looked at; nothing more found',
    safing_fit: 'Fitted, flag showing',
    safing_remove: 'Removed, flag back',
};

/** Read, looked at, done; a device on or off. */
export function ConfirmStep({ card, step, onWrong, onConflict }: StepProps) {
    const send = useStep({ card, step, onConflict });
    const done = () => !send.isPending && send.mutate({ do: 'done' });
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

/** A device as its flag hangs: what, where, and what hangs on it. */
export function Plate({ title, lines }: { title: string; lines: string[] }) {
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
