import { ToolPick, useTool } from '../ReadingField';
import { useDeliberate } from '../useDeliberate';
import { type StepProps, useEnter, useStep } from '../useStep';
import { Keys } from './Keys';

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
            <Keys
                send={send}
                says="Take this tool"
                hint="Enter"
                ready={ready && tool !== ''}
                onSave={use}
                onWrong={onWrong}
            />
        </>
    );
}
