import { api, take } from '../../api/client';
import { useMe, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';
import type { StepProps } from './useStep';

type Said = { by: number; said: string };

/** The word of a second person, said on a device of their own; whoever does the step waits for it. */
export function Second({ card, step }: Pick<StepProps, 'card' | 'step'>) {
    const me = useMe().data?.id;
    const asked = step.spec.second as { says: string; from: string } | undefined;
    const said = step.result.second as Said | undefined;
    const send = useSend((_: null, headers) =>
        take(
            api.POST('/api/cards/{id}/steps/{no}/second', {
                params: { path: { id: card.id, no: step.no } },
                headers,
            }),
        ),
    );
    if (asked === undefined) {
        return null;
    }
    const open = step.state === 'open' && step.held === null && card.may.includes('raise');
    return (
        <section
            className="mt-3 flex max-w-2xl flex-wrap items-center justify-between gap-3 rounded-lg border-2 border-slate px-4 py-2"
            data-testid="second"
        >
            <p>
                <State state={said ? 'clear' : 'waiting'} word={said ? 'Said' : 'Second person'} />: “{asked.says}”,
                from {asked.from}
                {said && `; ${said.said}`}
            </p>
            {open && said?.by !== me && (
                <Button className="min-h-12" disabled={send.isPending} onClick={() => send.mutate(null)}>
                    I am there, and say it
                </Button>
            )}
            <Trouble error={send.error} />
        </section>
    );
}
