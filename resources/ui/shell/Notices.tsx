import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, take } from '../api/client';
import { useMoment } from '../api/hooks';
import { keys } from '../api/keys';
import { Button } from '../parts/Button';

/** What somebody must be told although they did not ask. */
export function Notices() {
    const moment = useMoment().data;
    const client = useQueryClient();
    const seen = useMutation({
        mutationFn: (id: number) => take(api.POST('/api/notices/{id}/seen', { params: { path: { id } } })),
        onSuccess: (now) => client.setQueryData(keys.moment, now),
    });
    return moment?.notices.map((n) => (
        <div
            key={n.id}
            className="noprint flex flex-wrap items-center gap-3 border-b border-rule bg-ochre-wash px-6 py-1"
            role="status"
            data-testid="notice"
        >
            <span className="min-w-0 flex-1 py-1">
                <span className="text-soft">{n.at}:</span> {n.said}
            </span>
            {n.link !== null && (
                <Link className="inline-flex min-h-12 items-center px-2 underline underline-offset-4" to={n.link}>
                    Open
                </Link>
            )}
            <Button className="min-h-12" disabled={seen.isPending} onClick={() => seen.mutate(n.id)}>
                Seen
            </Button>
        </div>
    ));
}
