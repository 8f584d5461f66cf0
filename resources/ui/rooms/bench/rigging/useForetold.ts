import { api, take } from '../../../api/client';
import { useAsking } from '../../../api/useAsking';

/** What would probably be read once what is typed was turned, as the server foretells it. */
export const useForetold = (card: number, step: number, entries: Record<string, string> | undefined) =>
    useAsking(
        entries === undefined ? null : { path: { id: card, no: step }, entries },
        (of) =>
            take(
                api.POST('/api/cards/{id}/steps/{no}/foretell', {
                    params: { path: of.path },
                    body: { entries: of.entries },
                }),
            ),
        120,
    );
