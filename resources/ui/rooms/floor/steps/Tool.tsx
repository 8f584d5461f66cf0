import { Button } from '../../../parts/Button';
import { Trouble } from '../../../parts/Page';
import { ToolPick, useTool } from '../ReadingField';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';

/** A tool is put to use: in calibration, and counted out to this card. */
export function ToolStep({ card, step, onWrong, onConflict }: StepProps) {
    const kind = String(step.spec.tool_kind);
    const send = useStep({ card, step, onConflict });
    const [tool, setTool] = useTool(card, kind);
    const ready = useDeliberate();
    const use = () => ready && !send.isPending && tool !== '' && send.mutate({ do: 'use', tool });
    useEnter(use, true);
    return (
        <>
            <ToolPick card={card} kind={kind} tool={tool} onTool={setTool} />
            <p className="mt-2 text-soft">It is counted out to this card until it is counted in again.</p>
            <Trouble error={send.error} />
            <div className="mt-6 flex gap-3">
                <Button kind="main" big hint="Enter" disabled={!ready || tool === '' || send.isPending} onClick={use}>
                    Take this tool
                </Button>
                <Button big onClick={onWrong}>
                    Something is wrong
                </Button>
            </div>
        </>
    );
}
