import { useState } from 'react';
import { api, Failure, take } from '../../api/client';
import { Button } from '../../parts/Button';

/** The key that drops in what the instrument shows. */
export const INSTRUMENT_KEY = 'F2';

/** What the chosen instrument shows now, dropped into the field by one key; what it says where it sends nothing. */
export function useInstrument(tool: string, onEntry: (entry: string) => void) {
    const [said, setSaid] = useState<string | null>(null);
    const drop = async () => {
        if (tool === '') {
            setSaid('Choose the instrument first.');
            return;
        }
        try {
            const shown = await take(api.GET('/api/tools/{code}/shown', { params: { path: { code: tool } } }));
            setSaid(shown.sentence);
            if (shown.entry !== null) {
                onEntry(shown.entry);
            }
        } catch (e) {
            setSaid(e instanceof Failure ? e.message : 'It could not be asked. Enter what it shows.');
        }
    };
    return { said, drop };
}

export function FromInstrument({ instrument: { said, drop } }: { instrument: ReturnType<typeof useInstrument> }) {
    return (
        <p className="mt-2 flex flex-wrap items-center gap-3">
            <Button hint={INSTRUMENT_KEY} className="min-h-12" onClick={() => void drop()}>
                Take what it shows
            </Button>
            <span className="text-sm text-soft" role="status">
                {said}
            </span>
        </p>
    );
}
