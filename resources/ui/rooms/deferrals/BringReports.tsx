import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { FilePick } from '../../parts/FilePick';
import { Section, Trouble } from '../../parts/Page';

type View = Schemas['ReportsFileView'];

/** Reports from a file, or from the flying programme: looked at whole, then entered. */
export function BringReports() {
    const [view, setView] = useState<View | null>(null);
    const send = useSend(
        (body: { text: string | null; enter: boolean }, headers) =>
            take(api.POST('/api/reports/bring', { body, headers })),
        setView,
    );
    return (
        <Section
            title="Bring in"
            aside={
                <Button
                    kind="quiet"
                    className="text-sm"
                    disabled={send.isPending}
                    onClick={() => send.mutate({ text: null, enter: false })}
                >
                    from the flying programme
                </Button>
            }
        >
            <FilePick
                says={send.isPending ? 'Looking at the file…' : 'Choose a file of crew reports'}
                hint="CSV: mark, at, flight, crew, text, and chapter if known. Shown first, entered by you."
                name="reports"
                accept=".csv"
                onFile={(f) => void f.text().then((text) => send.mutate({ text, enter: false }))}
            />
            <Trouble error={send.error} />
            {view && (
                <div className="mt-3">
                    <p className="font-semibold">{view.sentence}</p>
                    <ul className="mt-1 list-disc pl-5 text-sm">
                        {view.rows.map((r) => (
                            <li key={r}>{r}</li>
                        ))}
                    </ul>
                    {!view.entered && (
                        <Button
                            kind="main"
                            className="mt-2"
                            disabled={send.isPending}
                            onClick={() => send.mutate({ text: view.text, enter: true })}
                        >
                            Enter them
                        </Button>
                    )}
                </div>
            )}
        </Section>
    );
}
