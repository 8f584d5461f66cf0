import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys, touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { SearchSeconds } from './SearchSeconds';

type Run = Schemas['PlanRunView'] | null;

/** A long search for a shorter plan: it goes on by itself, can be left, and can be cancelled. */
export function PlanSearch({ visit, version, run }: { visit: number; version: number; run: Run }) {
    const client = useQueryClient();
    const [seconds, setSeconds] = useState(10);
    const latest = useQuery<Run, Failure>({
        queryKey: keys.planRun(visit),
        queryFn: () => take(api.GET('/api/visits/{id}/plan', { params: { path: { id: visit } } })),
        initialData: run,
        refetchInterval: (q) => (q.state.data && !q.state.data.ended ? 700 : false),
    }).data;
    const ended = latest?.ended ?? true;
    const was = useRef(ended);
    useEffect(() => {
        if (ended && !was.current) {
            void client.invalidateQueries({ queryKey: keys.board(visit) });
        }
        was.current = ended;
    }, [ended, client, visit]);
    const search = useSend(
        (body: { seconds: number; version: number }, headers) =>
            take(api.POST('/api/visits/{id}/plan', { params: { path: { id: visit } }, body, headers })),
        undefined,
        { affects: touches.search },
    );
    const cancel = useSend(
        (id: number) => take(api.POST('/api/plan-runs/{id}/cancel', { params: { path: { id } } })),
        undefined,
        { affects: touches.search },
    );
    return (
        <div className="flex flex-wrap items-center gap-3" data-testid="search">
            <span role="status" className="text-sm text-soft">
                {search.error?.message ?? latest?.words}
            </span>
            {latest && !ended ? (
                <>
                    <progress
                        className="h-2 w-28 accent-spruce"
                        max={1}
                        value={latest.share ?? undefined}
                        aria-label="Time used"
                    />
                    <Button onClick={() => cancel.mutate(latest.id)}>Cancel</Button>
                </>
            ) : (
                <>
                    <SearchSeconds seconds={seconds} onChange={setSeconds} />
                    <Button disabled={search.isPending} onClick={() => search.mutate({ seconds, version })}>
                        Search for a shorter plan
                    </Button>
                </>
            )}
        </div>
    );
}
