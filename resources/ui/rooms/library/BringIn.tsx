import { useState } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { Button } from '../../parts/Button';
import { FilePick } from '../../parts/FilePick';
import { Section } from '../../parts/Page';
import { ImportPreview } from './ImportPreview';
import { kindOf } from './kindOf';

type View = Schemas['ImportView'];
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
            <FilePick
                says={
                    busy
                        ? 'Looking at the file…'
                        : 'Choose a programme, cards, rules, a list of what may be carried, a manual revision or flying'
                }
                hint="JSON or CSV; checked whole and shown first, applied by you."
                name="file"
                accept=".json,.csv"
                onFile={(chosen) => void file(chosen)}
            />
            <ImportPreview view={view} error={error} onView={setView} />
        </Section>
    );
}
