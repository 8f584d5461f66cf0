import { type ReactNode, useEffect, useRef, useState } from 'react';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Asked } from '../../parts/Asked';
import { Button } from '../../parts/Button';
import { Scroll, Trouble } from '../../parts/Page';

type View = Schemas['ImportView'];

/** What an import would change, before it is applied. */
export function ImportPreview({
    view,
    error,
    onView,
    children,
}: {
    view: View | null;
    error: Failure | null;
    onView: (view: View) => void;
    children?: ReactNode;
}) {
    const apply = useSend(
        (body: { id: number; sure: boolean }, headers) =>
            take(
                api.POST('/api/library/imports/{id}/apply', {
                    params: { path: { id: body.id } },
                    body: { sure: body.sure },
                    headers,
                }),
            ),
        onView,
    );
    // The yes is to this view only.
    const [yes, setYes] = useState(0);
    const sure = view !== null && yes === view.id;
    const box = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (view) {
            box.current?.scrollIntoView({ block: 'nearest' });
        }
    }, [view]);
    return (
        <>
            <Trouble error={error ?? apply.error} />
            {view && (
                <div ref={box} className="mt-4 rounded-xl border border-rule bg-sheet p-4" data-testid="import">
                    <div className="flex items-center justify-between gap-4">
                        <p>
                            <b>{view.sentence}</b> <span className="text-soft">{view.name}</span>
                        </p>
                        <div className="flex gap-2">
                            {children}
                            {view.state === 'previewed' && view.changes.length > 0 && (
                                <Button
                                    kind="main"
                                    className="min-h-12"
                                    disabled={apply.isPending || (view.asked.length > 0 && !sure)}
                                    onClick={() => apply.mutate({ id: view.id, sure })}
                                >
                                    {apply.isPending ? 'Applying…' : 'Apply'}
                                </Button>
                            )}
                        </div>
                    </div>
                    {view.asked.length > 0 && view.state === 'previewed' && (
                        <Asked
                            points={view.asked.map((a) => `${a.line}: ${a.message}`)}
                            sure={sure}
                            onSure={(on) => setYes(on ? view.id : 0)}
                        />
                    )}
                    {view.left.length > 0 && (
                        <details className="mt-3">
                            <summary className="min-h-12 cursor-pointer py-3">
                                <b>
                                    Not in this file, and kept as it is:{' '}
                                    {view.left.length === 1 ? '1 item' : `${view.left.length} items`}
                                </b>
                            </summary>
                            <ul className="max-h-64 overflow-auto text-sm">
                                {view.left.map((l) => (
                                    <li key={l}>{l}</li>
                                ))}
                            </ul>
                        </details>
                    )}
                    <Changes title="Changes" rows={view.changes} />
                    <Changes title="What stops each aircraft first, and every date that moves" rows={view.dates} />
                </div>
            )}
        </>
    );
}

function Changes({ title, rows }: { title: string; rows: Schemas['ChangeView'][] }) {
    if (rows.length === 0) {
        return null;
    }
    return (
        <Scroll label={title} className="mt-3 max-h-96">
            <table className="w-full text-left text-sm">
                <caption className="pb-1 text-left font-semibold">{title}</caption>
                <tbody>
                    {rows.map((c) => (
                        <tr key={c.subject + c.what + c.after} className="border-t border-rule align-top [&>td]:py-1.5">
                            <td className="pr-4 font-semibold whitespace-nowrap">{c.subject}</td>
                            <td className="pr-4">{c.what}</td>
                            <td className="pr-4 text-soft">{c.before === c.after ? '' : c.before}</td>
                            <td className={c.before === c.after ? 'text-soft' : ''}>{c.after}</td>
                        </tr>
                    ))}
                </tbody>
            </table>
        </Scroll>
    );
}
