import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { type Asked, api, Failure, type Schemas, take } from '../../api/client';
import { useFleet, useMe, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Choice, Tabs } from '../../parts/Tabs';
import { BeforeAfter } from './BeforeAfter';
import { fleetViews } from './views';
import { Suppose } from './WhatIfSuppose';

export type Change = Asked<'whatIf'>['changes'][number];
export type Kind = Change['kind'];

const kinds: readonly { value: Kind; name: string }[] = [
    { value: 'use', name: 'It flies more or less' },
    { value: 'visit', name: 'A visit slips' },
    { value: 'base', name: 'It moves to another base' },
];

/** A supposed change, with dates before and after; nothing is saved until told. */
export function WhatIf() {
    return <Wait query={useFleet()}>{(fleet) => <WhatIfOf fleet={fleet} />}</Wait>;
}

function WhatIfOf({ fleet }: { fleet: Schemas['FleetView'] }) {
    const [params, setParams] = useSearchParams();
    const marks = fleet.rows.map((r) => r.mark).sort();
    const mark = params.get('mark') ?? fleet.first ?? marks[0] ?? '';
    const may = useMe().data?.may ?? [];
    const [kind, setKind] = useState<Kind>('use');
    const [changes, setChanges] = useState<Change[]>([]);
    const [view, setView] = useState<Schemas['WhatIfView'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const [saved, setSaved] = useState(false);
    const apply = useSend(
        (body: { changes: Change[]; base: string }, headers) => take(api.POST('/api/what-if/apply', { body, headers })),
        () => {
            setSaved(true);
            setChanges([]);
        },
    );
    const look = async (all: Change[]) => {
        setError(null);
        setSaved(false);
        apply.reset();
        setChanges(all);
        if (all.length === 0) {
            setView(null);
            return;
        }
        try {
            setView(await take(api.POST('/api/what-if', { body: { changes: all, base: '' } })));
        } catch (e) {
            setChanges(changes);
            setError(e instanceof Failure ? e : new Failure(0, 'It could not be worked out.'));
        }
    };
    const bases = [...new Set(fleet.rows.map((r) => r.base))];
    const overdue = view?.aircraft.some((a) => a.items.some((i) => i.trouble !== null)) ?? false;
    return (
        <Page
            over={<Tabs label="Fleet" tabs={fleetViews} />}
            sentence={
                saved
                    ? 'Saved. The dates below are the fleet’s dates now.'
                    : (view?.sentence ?? 'Suppose a change, and see what it does to every date.')
            }
            note={saved || view ? undefined : 'Nothing is saved until you say so.'}
            actions={
                view && !saved && may.includes('edit') ? (
                    <Button
                        kind="main"
                        disabled={apply.isPending || overdue}
                        onClick={() => apply.mutate({ changes, base: view.base })}
                    >
                        {apply.isPending ? 'Saving…' : 'Save'}
                    </Button>
                ) : undefined
            }
        >
            {may.includes('edit') ? (
                <div className="rounded-xl border border-rule bg-sheet p-4">
                    <div className="flex flex-wrap items-center gap-4">
                        <label className="font-semibold">
                            Aircraft{' '}
                            <select
                                name="mark"
                                className="ml-2 h-10 rounded-lg border-2 border-soft bg-paper px-2 font-mono"
                                value={mark}
                                onChange={(e) => setParams({ mark: e.target.value }, { replace: true })}
                            >
                                {marks.map((m) => (
                                    <option key={m}>{m}</option>
                                ))}
                            </select>
                        </label>
                        <Choice label="What changes" options={kinds} value={kind} onChange={setKind} />
                    </div>
                    <Suppose
                        key={mark + kind}
                        mark={mark}
                        kind={kind}
                        bases={bases}
                        onAdd={(c) => void look([...changes, c])}
                    />
                    {changes.length > 0 && (
                        <ul className="mt-3 flex flex-wrap gap-2">
                            {changes.map((c) => (
                                <li
                                    key={JSON.stringify(c)}
                                    className="flex items-center gap-2 rounded-lg bg-shade px-3 py-1"
                                >
                                    {words(c)}
                                    <button
                                        type="button"
                                        className="underline underline-offset-4"
                                        aria-label={`Leave out: ${words(c)}`}
                                        onClick={() => void look(changes.filter((x) => x !== c))}
                                    >
                                        leave out
                                    </button>
                                </li>
                            ))}
                        </ul>
                    )}
                    <Trouble error={error ?? apply.error} />
                </div>
            ) : (
                <p className="text-soft">A controller supposes changes here.</p>
            )}
            {view?.aircraft.map((a) => (
                <BeforeAfter key={a.mark} row={a} today={fleet.today} />
            ))}
        </Page>
    );
}

const words = (c: Change): string =>
    c.kind === 'visit'
        ? `${c.mark ?? 'visit'}: from ${short(c.start ?? null)} to ${short(c.end ?? null)}`
        : c.kind === 'base'
          ? `${c.mark} to ${c.base}`
          : c.week
            ? `${c.mark}: ${Object.entries(c.week)
                  .map(([k, v]) => `${v.join(' ')} ${k}`)
                  .join('; ')} by weekday`
            : `${c.mark}: ${Object.entries(c.rates ?? {})
                  .map(([k, v]) => `${v} ${k}`)
                  .join(', ')} a day`;
