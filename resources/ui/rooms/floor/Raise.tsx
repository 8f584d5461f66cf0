import { useMutation, useQueryClient } from '@tanstack/react-query';
import { set } from 'idb-keyval';
import { type FormEvent, useRef, useState } from 'react';
import { Failure, type Schemas } from '../../api/client';
import { findingQuery, useMe, useRegister } from '../../api/hooks';
import { keys, readAnew } from '../../api/keys';
import { type FindingBody, queue, type Spot } from '../../api/queue';
import { sendFinding, sendPhoto } from '../../api/useQueue';
import { Button } from '../../parts/Button';
import { Dialog } from '../../parts/Dialog';
import { Drawing, type Outline } from '../../parts/Drawing';
import { Field } from '../../parts/Field';
import { useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { PhotoPick } from '../../parts/PhotoPick';
import { Choice } from '../../parts/Tabs';
import { Raised } from './Raised';
import { Sketch, type Strokes } from './Sketch';
import { severities } from './severities';
import type { Point } from './useStep';

type Severity = (typeof severities)[number]['value'];

/** A finding: where it is, how far it goes, how bad it is; on the drawing, in a photo, in a sketch. */
export function Raise({
    card,
    step,
    point,
    onClose,
}: {
    card: Schemas['CardView'];
    step: number | null;
    point?: Point;
    onClose: () => void;
}) {
    const client = useQueryClient();
    const me = useMe().data;
    const register = useRegister(card.mark);
    const { values, bind } = useFields({ place: point?.place ?? '', extent: '', chapter: card.chapter });
    const [severity, setSeverity] = useState<Severity>('minor');
    const [spot, setSpot] = useState<Spot | null>(null);
    const [sketch, setSketch] = useState<Strokes>([]);
    const [more, setMore] = useState<'none' | 'drawing' | 'sketch'>('none');
    const [photo, setPhoto] = useState<File | null>(null);
    const [raised, setRaised] = useState<Schemas['FindingView'] | null>(null);
    const [trouble, setTrouble] = useState<Failure | null>(null);
    // One intention, one key, however often it is sent: also from this device's queue, later.
    const key = useRef(crypto.randomUUID());
    const send = useMutation<Schemas['CardView'] | null, Failure, FindingBody>({
        mutationFn: async (body) => {
            try {
                return await sendFinding(card.id, body, key.current);
            } catch (e) {
                if (!(e instanceof Failure) || e.status !== 0) {
                    throw e;
                }
                if (photo) {
                    await set(key.current, photo);
                }
                queue?.add(key.current, me?.id ?? 0, card, `${body.place}: ${body.extent}`, {
                    what: 'finding',
                    body,
                    photo: photo !== null,
                });
                return null;
            }
        },
        onSuccess: async (out) => {
            if (out === null) {
                onClose();
                return;
            }
            client.setQueryData(keys.card(card.id), out);
            readAnew(client);
            const made = out.findings.at(-1) ?? null;
            if (made && photo) {
                try {
                    await sendPhoto(made.id, photo);
                    void client.invalidateQueries({ queryKey: keys.cards });
                } catch (e) {
                    setTrouble(
                        e instanceof Failure
                            ? e
                            : new Failure(0, 'The photo could not be sent. The finding itself is saved.'),
                    );
                    setRaised(made);
                    return;
                }
            }
            const follows = made ? await client.fetchQuery(findingQuery(made.id)).catch(() => null) : null;
            if (made?.repeat || (follows?.follows.length ?? 0) > 0) {
                setRaised(made);
            } else {
                onClose();
            }
        },
    });
    const submit = (e: FormEvent) => {
        e.preventDefault();
        send.mutate({
            place: values.place,
            extent: values.extent,
            severity,
            ...(values.chapter.trim() === '' ? {} : { chapter: values.chapter.trim() }),
            ...(step === null ? {} : { step }),
            ...(point === undefined ? {} : { point: point.id }),
            ...(spot ? { spot } : {}),
            ...(sketch.length > 0 ? { sketch } : {}),
        });
    };
    const outline = register.data?.drawing?.outline as Outline | undefined;
    if (raised) {
        return <Raised raised={raised} trouble={trouble} onClose={onClose} />;
    }
    return (
        <Dialog open onClose={onClose} title={`Something is wrong on ${card.mark}`} wide>
            <form onSubmit={submit} className="space-y-4">
                <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_7rem] gap-4">
                    <Field
                        label="Place"
                        autoFocus
                        placeholder="propeller 1, blade 3, leading edge"
                        {...bind('place')}
                    />
                    <Field
                        label="Extent"
                        placeholder="boot edge lifted over 40 mm"
                        {...bind('extent')}
                        hint="What it is and how far it goes: from hole to edge, so long, so deep."
                    />
                    <Field label="Chapter" inputMode="numeric" {...bind('chapter')} hint="of its system" />
                </div>
                <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
                    <span className="flex items-center gap-2">
                        <b>How bad</b>
                        <Choice big label="How bad" options={severities} value={severity} onChange={setSeverity} />
                    </span>
                    <span className="flex items-center gap-2">
                        <b>Show it</b>
                        <Choice
                            big
                            label="Show it"
                            options={[
                                { value: 'none', name: 'in words' },
                                ...(outline ? [{ value: 'drawing' as const, name: 'on the drawing' }] : []),
                                { value: 'sketch', name: 'in a sketch' },
                            ]}
                            value={more}
                            onChange={setMore}
                        />
                    </span>
                    <PhotoPick says={photo ? photo.name : 'Add a photo'} onPhoto={setPhoto} />
                </div>
                {more === 'drawing' && outline && (
                    <div>
                        <p className="mb-1 text-soft">Touch the place on any view.</p>
                        <Drawing outline={outline} spot={spot} onPick={setSpot} />
                    </div>
                )}
                {more === 'sketch' && <Sketch value={sketch} onChange={setSketch} />}
                <Trouble error={send.error} />
                <Button
                    kind="main"
                    big
                    type="submit"
                    disabled={send.isPending || values.place === '' || values.extent === ''}
                >
                    Raise the finding
                </Button>
            </form>
        </Dialog>
    );
}
