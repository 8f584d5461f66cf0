import { useStopWatch } from './useStopWatch';

/** A stop watch of one point: the time drops into its field. */
export function Watch({ place, onTime }: { place: string; onTime: (seconds: string) => void }) {
    const { running, shows, press } = useStopWatch({ onStop: onTime });
    return (
        <button
            type="button"
            onClick={press}
            aria-label={`${running ? 'Stop' : 'Start'} the watch: ${place}`}
            className={`mt-1 min-h-12 rounded-lg border-2 px-3 font-mono font-semibold ${
                running ? 'border-spruce bg-spruce text-on-spruce' : 'border-soft bg-sheet'
            }`}
        >
            {shows ?? 'watch'}
        </button>
    );
}
