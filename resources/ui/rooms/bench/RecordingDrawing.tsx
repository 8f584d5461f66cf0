import type { KeyboardEvent } from 'react';
import type { Schemas } from '../../api/client';
import { useSamples } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Trouble } from '../../parts/Page';
import { RecordingPlot } from './RecordingPlot';
import { type Stretch, within } from './stretch';

/** What the keys do: how much closer, how far along. */
const zooms: Record<string, number> = { '+': 0.5, '=': 0.5, '-': 2 };
const pans: Record<string, number> = { ArrowLeft: -0.25, ArrowRight: 0.25 };

/** Signals over time: + and - zoom, the arrows pan, Home shows all. */
export function RecordingDrawing({
    r,
    signals,
    view,
    onView,
}: {
    r: Schemas['RecordingView'];
    signals: Schemas['SignalView'][];
    view: Stretch;
    onView: (view: Stretch) => void;
}) {
    const names = signals.map((s) => s.signal);
    const samples = useSamples(r.id, names, view[0], view[1]);
    const [from, to] = view;
    const zoom = (by: number) => {
        const middle = (from + to) / 2;
        const half = ((to - from) / 2) * by;
        onView(within([middle - half, middle + half], r.seconds));
    };
    const pan = (by: number) => onView(within([from + (to - from) * by, to + (to - from) * by], r.seconds));
    const onKey = (e: KeyboardEvent) => {
        const closer = zooms[e.key];
        const along = pans[e.key];
        if (closer !== undefined) {
            zoom(closer);
        } else if (along !== undefined) {
            pan(along);
        } else if (e.key === 'Home') {
            onView([0, r.seconds]);
        } else {
            return;
        }
        e.preventDefault();
    };
    return (
        <div>
            <div className="noprint mb-2 flex gap-2">
                <Button onClick={() => zoom(0.5)}>Closer</Button>
                <Button onClick={() => zoom(2)}>Wider</Button>
                <Button onClick={() => pan(-0.25)}>Earlier</Button>
                <Button onClick={() => pan(0.25)}>Later</Button>
                <Button onClick={() => onView([0, r.seconds])}>All of it</Button>
                {r.changes.map((c) => (
                    <Button key={c.t} onClick={() => onView(within([c.t - 2, c.t + 4], r.seconds))}>
                        to {c.to}
                    </Button>
                ))}
            </div>
            <Trouble error={samples.error} />
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: zoomed and panned by keys */}
            <section aria-label="Signals over time: plus and minus zoom, arrows pan" tabIndex={0} onKeyDown={onKey}>
                <RecordingPlot r={r} signals={signals} view={view} data={samples.data} />
            </section>
        </div>
    );
}
