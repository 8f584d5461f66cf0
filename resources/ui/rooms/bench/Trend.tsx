import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useMe, useSend, useTrend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { TrendDrawing } from './TrendDrawing';

/** A point over time, its limits as a band, the fleet's faint beside it. */
export function Trend() {
    return (
        <Wait query={useTrend(Number(useParams().id))}>
            {(t) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/bench/trends">
                            Trends
                        </Link>
                    }
                    sentence={t.sentence}
                    note={[
                        `${t.card}. A value as left, and a unit that was changed, begin it anew.`,
                        ...(t.many > t.points.length ? [`The latest ${t.points.length} of ${t.many} readings.`] : []),
                    ].join(' ')}
                    actions={<InDueList t={t} />}
                >
                    {t.followed !== null && <p className="mb-3 text-soft">In the due list {t.followed}</p>}
                    <TrendDrawing t={t} />
                    <Section title="Readings">
                        <table className="text-left">
                            <thead>
                                <tr className="text-sm text-soft">
                                    {['Day', 'Value', '', 'Tool', ''].map((h, i) => (
                                        // biome-ignore lint/suspicious/noArrayIndexKey: two heads are empty
                                        <th key={i} className="py-1 pr-6 font-normal">
                                            {h}
                                        </th>
                                    ))}
                                </tr>
                            </thead>
                            <tbody>
                                {t.points.toReversed().map((p, i) => (
                                    // biome-ignore lint/suspicious/noArrayIndexKey: readings are only ever added
                                    <tr key={i} className="border-t border-rule/60">
                                        <td className="py-1 pr-6">{short(p.date)}</td>
                                        <td className="pr-6 text-right font-mono">
                                            {p.value} {t.unit}
                                        </td>
                                        <td className="pr-6">
                                            <State state={p.look} word={p.look === 'clear' ? 'within' : 'outside'} />
                                        </td>
                                        <td className="pr-6 font-mono text-sm">{p.tool}</td>
                                        <td className="text-soft">{p.note}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    </Section>
                    {t.fleet.length > 0 && (
                        <Section title="The same point on others">
                            <p className="flex flex-wrap gap-4">
                                {t.fleet.map((f) => (
                                    <Link
                                        key={f.mark}
                                        to={`/bench/trends/${f.readingId}`}
                                        className="font-mono underline underline-offset-4"
                                    >
                                        {f.mark}
                                    </Link>
                                ))}
                            </p>
                        </Section>
                    )}
                </Page>
            )}
        </Wait>
    );
}

/** Its date is taken into the due list, where it moves with every reading; or out of it again. */
function InDueList({ t }: { t: Schemas['TrendView'] }) {
    const [open, setOpen] = useState(false);
    const [why, setWhy] = useState('');
    const follow = t.followed === null;
    const close = () => {
        setOpen(false);
        setWhy('');
    };
    const send = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/bench/trends/{id}/follow', {
                    params: { path: { id: t.readingId } },
                    body: { follow, why },
                    headers,
                }),
            ),
        close,
    );
    const action = follow ? 'Take into the due list' : 'Take out of the due list';
    const may = useMe().data?.may.includes('plan');
    // What heads for no limit has no date to take.
    if (!may || (follow && t.date === null)) return null;
    return (
        <>
            <Button onClick={() => setOpen(true)}>{action}</Button>
            {open && (
                <FormDialog
                    title={action}
                    action={action}
                    ready={why.trim() !== ''}
                    send={send}
                    onSend={() => send.mutate(null)}
                    onClose={close}
                >
                    <p className="text-soft">
                        {follow
                            ? 'It stands there with the date of its latest readings, and the visit that reads it again.'
                            : 'Its readings stay; only its line in the due list goes.'}
                    </p>
                    <Field label="Why" name="why" value={why} onChange={(e) => setWhy(e.target.value)} />
                </FormDialog>
            )}
        </>
    );
}
