import { useState } from 'react';
import { api, Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Section, Trouble } from '../../parts/Page';

/** A file is looked at whole, shown as what it would change, and only then applied. */
export function BringIn() {
    const [view, setView] = useState<Schemas['ImportView'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const [busy, setBusy] = useState(false);
    const apply = useSend(
        (id: number, headers) => take(api.POST('/api/library/imports/{id}/apply', { params: { path: { id } }, headers })),
        setView,
    );
    const look = async (file: File | undefined) => {
        if (!file) {
            return;
        }
        setBusy(true);
        setError(null);
        setView(null);
        apply.reset();
        try {
            const kind = file.name.toLowerCase().endsWith('.json') ? 'programme' : 'flying';
            setView(await take(api.POST('/api/library/imports', { body: { kind, name: file.name, text: await file.text() } })));
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'The file could not be read.'));
        } finally {
            setBusy(false);
        }
    };
    return (
        <Section title="Bring in">
            <label className="flex min-h-16 cursor-pointer items-center gap-4 rounded-xl border-2 border-dashed border-soft bg-sheet px-5 focus-within:outline-2 focus-within:outline-spruce">
                <b>{busy ? 'Looking at the file…' : 'Choose a programme (JSON) or flying (CSV)'}</b>
                <span className="text-soft">It is checked whole and shown first; nothing changes until you apply it.</span>
                <input
                    type="file"
                    name="file"
                    accept=".json,.csv"
                    className="sr-only"
                    onChange={(e) => {
                        void look(e.target.files?.[0]);
                        e.target.value = '';
                    }}
                />
            </label>
            <Trouble error={error ?? apply.error} />
            {view && (
                <div className="mt-4 rounded-xl border border-rule bg-sheet p-4" data-testid="import">
                    <div className="flex items-center justify-between gap-4">
                        <p>
                            <b>{view.sentence}</b> <span className="text-soft">{view.name}</span>
                        </p>
                        {view.state === 'previewed' && view.changes.length > 0 && (
                            <Button kind="main" className="min-h-12" disabled={apply.isPending} onClick={() => apply.mutate(view.id)}>
                                {apply.isPending ? 'Applying…' : 'Apply'}
                            </Button>
                        )}
                    </div>
                    <Changes title="Changes" rows={view.changes} />
                    <Changes title="What stops each aircraft first" rows={view.dates} />
                </div>
            )}
        </Section>
    );
}

function Changes({ title, rows }: { title: string; rows: Schemas['ChangeView'][] }) {
    if (rows.length === 0) {
        return null;
    }
    return (
        <table className="mt-3 w-full text-left text-sm">
            <caption className="pb-1 text-left font-semibold">{title}</caption>
            <tbody>
                {rows.map((c) => (
                    <tr key={c.subject + c.what + c.after} className="border-t border-rule align-top [&>td]:py-1.5">
                        <td className="pr-4 font-semibold whitespace-nowrap">{c.subject}</td>
                        <td className="pr-4 whitespace-nowrap">{c.what}</td>
                        <td className="pr-4 text-soft">{c.before === c.after ? '' : c.before}</td>
                        <td className={c.before === c.after ? 'text-soft' : ''}>{c.after}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
