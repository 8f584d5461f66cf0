import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';

type Answer = { do: 'answer' | 'back' | 'card'; answer?: string; note?: string };

/** Sends what was answered at the node that is open, or takes the last answer back. */
export function useAnswer(walk: Schemas['WalkView']) {
    return useSend((body: Answer, headers) =>
        take(
            api.POST('/api/bench/findings/{id}/walk', {
                params: { path: { id: walk.findingId } },
                body: { ...body, version: walk.version },
                headers,
            }),
        ),
    );
}
