import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Failure, type Schemas, take } from '../../../api/client';
import { useSend } from '../../../api/hooks';
import { keys, touches } from '../../../api/keys';
import { Button } from '../../../parts/Button';
import { SearchSeconds } from '../SearchSeconds';
import { type Laid, laidOf, type Season } from './laid';

type Run = Schemas['SeasonRunView'] | null;

/** A search for a season: it goes on by itself, can be left and cancelled; what it found is taken when wanted. */
export function SeasonPropose({
    season,
    days,
    onTake,
}: {
    season: Season;
    days: number;
    onTake: (visits: Laid[]) => void;
}) {
    const [seconds, setSeconds] = useState(10);
    const [anew, setAnew] = useState(false);
    const [mark, setMark] = useState('');
    const [taken, setTaken] = useState<number | null>(null);
    const run = useQuery<Run, Failure>({
        queryKey: keys.seasonRun,
        queryFn: () => take(api.GET('/api/season/run')),
        refetchInterval: (q) => (q.state.data && !q.state.data.ended ? 600 : false),
    }).data;
    const propose = useSend(
        (body: { days: number; seconds: number; anew: boolean; mark: string | null; visits: Laid[] }, headers) =>
            take(api.POST('/api/season/propose', { body, headers })),
        undefined,
        { affects: touches.season },
    );
    const cancel = useSend(
        (id: number) => take(api.POST('/api/season-runs/{id}/cancel', { params: { path: { id } } })),
        undefined,
        { affects: touches.season },
    );
    const found = run?.state === 'done' && run.days === days && run.id !== taken ? run : null;
    return (
        <div className="flex flex-wrap items-center gap-3" data-testid="propose">
            {run?.ended === false ? (
                <>
                    <progress className="h-2 w-28 accent-spruce" max={1} value={run.share} aria-label="Time used" />
                    <span role="status" className="text-sm text-soft">
                        {run.words}
                    </span>
                    <Button onClick={() => cancel.mutate(run.id)}>Cancel</Button>
                </>
            ) : (
                <>
                    <select
                        aria-label="Of which aircraft"
                        className="min-h-9 rounded-lg border border-rule bg-sheet px-2 pointer-coarse:min-h-12"
                        value={mark}
                        onChange={(e) => setMark(e.target.value)}
                    >
                        <option value="">whole fleet</option>
                        {season.aircraft.map((a) => (
                            <option key={a.mark}>{a.mark}</option>
                        ))}
                    </select>
                    <SearchSeconds seconds={seconds} onChange={setSeconds} />
                    <label className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-12">
                        <input
                            type="checkbox"
                            className="size-5 accent-spruce"
                            checked={anew}
                            onChange={(e) => setAnew(e.target.checked)}
                        />
                        move kept visits, too
                    </label>
                    <Button
                        disabled={propose.isPending}
                        onClick={() =>
                            propose.mutate({
                                days,
                                seconds,
                                anew,
                                mark: mark === '' ? null : mark,
                                visits: laidOf(season),
                            })
                        }
                    >
                        Propose a season
                    </Button>
                    {found && (
                        <Button
                            kind="main"
                            onClick={() => {
                                setTaken(found.id);
                                onTake(found.visits);
                            }}
                        >
                            Take the proposal
                        </Button>
                    )}
                    <span role="status" className="text-sm text-soft">
                        {propose.error?.message ?? (run && run.id !== taken ? run.words : '')}
                    </span>
                </>
            )}
        </div>
    );
}
