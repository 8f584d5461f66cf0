import { useState } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { Button } from '../../parts/Button';
import { Section } from '../../parts/Page';
import { ImportPreview } from './ImportPreview';

type View = Schemas['ImportView'];
type Kind = 'cards' | 'follows' | 'programme' | 'programme-csv' | 'revision' | 'flying' | 'sectors';

/** Which kind of file it is, by its name and its head; the server checks it whole. */
const kindOf = (name: string, text: string): Kind => {
    if (name.toLowerCase().endsWith('.json')) {
        if (/"cards"\s*:/.test(text)) {
            return 'cards';
        }
        if (/"rules"\s*:/.test(text)) {
            return 'follows';
        }
        return /"manual"\s*:/.test(text) && /"passages"\s*:/.test(text) ? 'revision' : 'programme';
    }
    const head = text.slice(0, text.search(/[\r\n]|$/)).toLowerCase();
    return head.includes('interval') ? 'programme-csv' : head.includes('number') ? 'sectors' : 'flying';
};

/** A file is looked at whole, shown as what it would change, and only then applied. */
export function BringIn() {
    const [view, setView] = useState<View | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const [busy, setBusy] = useState(false);
    const look = async (ask: () => Promise<View>) => {
        setBusy(true);
        setError(null);
        setView(null);
        try {
            setView(await ask());
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'The file could not be read.'));
        } finally {
            setBusy(false);
        }
    };
    const file = (f: File) =>
        look(async () => {
            const text = await f.text();
            return take(api.POST('/api/library/imports', { body: { kind: kindOf(f.name, text), name: f.name, text } }));
        });
    const programme = (what: 'flown' | 'sectors') =>
        look(() => take(api.POST('/api/flying-programme', { body: { what } })));
    return (
        <Section
            title="Bring in"
            aside={
                <span className="flex items-baseline gap-1 text-sm text-soft">
                    or from the flying programme:
                    <Button kind="quiet" disabled={busy} onClick={() => void programme('flown')}>
                        what was flown
                    </Button>
                    <Button kind="quiet" disabled={busy} onClick={() => void programme('sectors')}>
                        planned sectors
                    </Button>
                </span>
            }
        >
            <label className="flex min-h-16 cursor-pointer items-center gap-4 rounded-xl border-2 border-dashed border-soft bg-sheet px-5 focus-within:outline-2 focus-within:outline-spruce">
                <b>
                    {busy
                        ? 'Looking at the file…'
                        : 'Choose a programme (JSON, CSV), cards, rules or a manual revision (JSON), flying or sectors (CSV)'}
                </b>
                <span className="text-soft">
                    It is checked whole and shown first; nothing changes until you apply it.
                </span>
                <input
                    type="file"
                    name="file"
                    accept=".json,.csv"
                    className="sr-only"
                    onChange={(e) => {
                        const chosen = e.target.files?.[0];
                        if (chosen) {
                            void file(chosen);
                        }
                        e.target.value = '';
                    }}
                />
            </label>
            <ImportPreview view={view} error={error} onView={setView} />
        </Section>
    );
}
