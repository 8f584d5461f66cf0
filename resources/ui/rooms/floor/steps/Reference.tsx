import { useState } from 'react';
import { ToolPick, useTool } from '../ReadingField';
import { type StepProps, useStep } from '../useStep';
import { Keys } from './Keys';
import { Number1 } from './Number';
import { FromRecording } from './Stabilise';

/** A reference is recorded, from which a later step counts. */
export function ReferenceStep({ card, step, onWrong, onConflict }: StepProps) {
    const spec = step.spec as { point: string; unit: string; tool_kind?: string };
    const send = useStep({ card, step, onConflict });
    const [entry, setEntry] = useState('');
    const [tool, setTool] = useTool(card, spec.tool_kind ?? '');
    const save = () => entry !== '' && send.mutate({ do: 'read', entry, tool });
    return (
        <>
            <Number1
                label={`Reference: ${spec.point}`}
                unit={spec.unit}
                value={entry}
                onValue={setEntry}
                onEnter={save}
                autoFocus
                tool={spec.tool_kind ? tool : undefined}
            />
            {spec.tool_kind && <ToolPick card={card} kind={spec.tool_kind} tool={tool} onTool={setTool} />}
            <Keys send={send} says="Record it" hint="Enter" ready={entry !== ''} onSave={save} onWrong={onWrong}>
                <FromRecording send={send} />
            </Keys>
        </>
    );
}
