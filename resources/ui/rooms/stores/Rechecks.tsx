import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Pick } from '../../parts/Pick';

type Recall = Schemas['RecallView'];
type Place = { visit: number | null; start: string; end: string };

const OWN = 'own';

/** Where and when the re-checks of each aircraft are made: asked before anything is opened. */
export function Rechecks({ code, recall, onClose }: { code: string; recall: Recall; onClose: () => void }) {
    const aircraft = recall.aircraft.filter((a) => a.toOpen > 0);
    const [places, setPlaces] = useState<Record<string, Place>>(() =>
        Object.fromEntries(
            aircraft.map((a) => [a.mark, { visit: a.visits[0]?.id ?? null, start: recall.start, end: recall.end }]),
        ),
    );
    const send = useSend(
        (body: { places: (Place & { mark: string })[] }, headers) =>
            take(api.POST('/api/recalls/{id}/rechecks', { params: { path: { id: recall.id } }, body, headers })),
        onClose,
    );
    const put = (mark: string, to: Partial<Place>) =>
        setPlaces((all) => {
            const was = all[mark];
            return was ? { ...all, [mark]: { ...was, ...to } } : all;
        });
    return (
        <FormDialog
            title={`Where what rests on ${code} is read again`}
            wide
            action={recall.toOpen === 1 ? 'Open the re-check' : `Open all ${recall.toOpen} re-checks`}
            ready={Object.values(places).every((p) => p.visit !== null || (p.start !== '' && p.end !== ''))}
            send={send}
            onSend={() => send.mutate({ places: Object.entries(places).map(([mark, p]) => ({ mark, ...p })) })}
            onClose={onClose}
        >
            <p className="text-soft">Until they are closed, none of these aircraft is clear to fly.</p>
            {aircraft.map((a) => {
                const place = places[a.mark];
                return (
                    place && (
                        <fieldset key={a.mark} className="border-t border-rule pt-3" data-aircraft={a.mark}>
                            <legend className="float-left mb-2 w-full">
                                <b className="font-mono">{a.mark}</b>, {a.toOpen === 1 ? '1 card' : `${a.toOpen} cards`}
                                {a.flies && <span className="text-soft">. {a.flies}</span>}
                            </legend>
                            <div className="clear-both grid grid-cols-[minmax(0,2fr)_1fr_1fr] items-end gap-3 max-[700px]:grid-cols-1">
                                <Pick
                                    big
                                    label="In which visit"
                                    value={place.visit === null ? OWN : String(place.visit)}
                                    onChange={(v) => put(a.mark, { visit: v === OWN ? null : Number(v) })}
                                    options={[
                                        ...a.visits.map((v): [string, string] => [String(v.id), v.words]),
                                        [OWN, 'one of its own, on the line'],
                                    ]}
                                />
                                {place.visit === null && (
                                    <>
                                        <Field
                                            label="First day"
                                            type="date"
                                            value={place.start}
                                            onChange={(e) => put(a.mark, { start: e.target.value })}
                                        />
                                        <Field
                                            label="Last day"
                                            type="date"
                                            value={place.end}
                                            onChange={(e) => put(a.mark, { end: e.target.value })}
                                        />
                                    </>
                                )}
                            </div>
                        </fieldset>
                    )
                );
            })}
        </FormDialog>
    );
}
