import { useEffect, useState } from 'react';

/** A stop watch in seconds: pressed once it runs, pressed again it tells what it took. */
export function useStopWatch({ onStart, onStop }: { onStart?: () => void; onStop: (seconds: string) => void }) {
    const [from, setFrom] = useState<number | null>(null);
    const [now, setNow] = useState(0);
    useEffect(() => {
        if (from === null) {
            return;
        }
        const timer = setInterval(() => setNow(performance.now()), 50);
        return () => clearInterval(timer);
    }, [from]);
    const press = () => {
        const at = performance.now();
        if (from === null) {
            onStart?.();
            setNow(at);
            setFrom(at);
        } else {
            onStop(((at - from) / 1000).toFixed(1));
            setFrom(null);
        }
    };
    return { running: from !== null, shows: from === null ? null : Math.max(0, (now - from) / 1000).toFixed(1), press };
}
