import { useEffect, useState } from 'react';

/** A stop watch of one point: the time drops into its field. */
export function Watch({ place, onTime }: { place: string; onTime: (seconds: string) => void }) {
    const [from, setFrom] = useState<number | null>(null);
    const [now, setNow] = useState(0);
    useEffect(() => {
        if (from === null) {
            return;
        }
        const timer = setInterval(() => setNow(performance.now()), 100);
        return () => clearInterval(timer);
    }, [from]);
    const press = () => {
        if (from === null) {
            setNow(performance.now());
            setFrom(performance.now());
        } else {
            onTime(((performance.now() - from) / 1000).toFixed(1));
            setFrom(null);
        }
    };
    return (
        <button
            type="button"
            onClick={press}
            aria-label={`${from === null ? 'Start' : 'Stop'} the watch: ${place}`}
            className={`mt-1 min-h-12 rounded-lg border-2 px-3 font-mono font-semibold ${from === null ? 'border-soft bg-sheet' : 'border-spruce bg-spruce text-on-spruce'}`}
        >
            {from === null ? 'watch' : ((now - from) / 1000).toFixed(1)}
        </button>
    );
}
