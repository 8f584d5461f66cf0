import { api, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';

/** Calls somebody clear of the card they are at: themselves, or by whoever sees that they are gone. */
export const useClear = (done?: () => void) =>
    useSend(
        ({ card, person }: { card: number; person: number }, headers) =>
            take(api.POST('/api/cards/{id}/clear', { params: { path: { id: card } }, body: { person }, headers })),
        done,
        { affects: touches.presence },
    );
