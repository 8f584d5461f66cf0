import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { ToolPick } from '../ReadingField';

/** The tools of several kinds: of each the one that is out on this card already. */
export function useTools(
    card: Schemas['CardView'],
    kinds: string[],
): [Record<string, string>, (kind: string, code: string) => void] {
    const [tools, setTools] = useState<Record<string, string>>(() =>
        Object.fromEntries(
            kinds.map((k) => [
                k,
                card.tools.find(
                    (t) => t.kind === k && t.usable && card.loans.some((l) => l.what.startsWith(`${t.code} `)),
                )?.code ?? '',
            ]),
        ),
    );
    return [tools, (kind, code) => setTools((all) => ({ ...all, [kind]: code }))];
}

export function ToolsOf({
    card,
    kinds,
    tools,
    onTool,
}: {
    card: Schemas['CardView'];
    kinds: string[];
    tools: Record<string, string>;
    onTool: (kind: string, code: string) => void;
}) {
    return kinds.map((k) => (
        <ToolPick key={k} card={card} kind={k} tool={tools[k] ?? ''} onTool={(code) => onTool(k, code)} />
    ));
}
