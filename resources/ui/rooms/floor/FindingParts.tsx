import { useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { api, Failure, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { keys, touches } from '../../api/keys';
import { sendPhoto } from '../../api/useQueue';
import { Button, ButtonLink } from '../../parts/Button';
import { Drawing, type Outline, type View } from '../../parts/Drawing';
import { typed } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { PhotoPick } from '../../parts/PhotoPick';
import { State } from '../../parts/State';
import type { Detail } from './Finding';

type Spot = { view: View; x: number; y: number };

/** Where it is on the drawing; touched, it is marked there, once that is kept. */
export function Where({ f, outline }: { f: Detail; outline: Outline }) {
    const kept = f.spot as Spot | null;
    const [spot, setSpot] = useState<Spot | null>(null);
    const mark = useSend(
        (body: Spot, headers) =>
            take(api.POST('/api/findings/{id}/spot', { params: { path: { id: f.finding.id } }, body, headers })),
        () => setSpot(null),
        { affects: touches.drawing },
    );
    const may = f.may.includes('mark');
    return (
        <div>
            <Drawing outline={outline} spot={spot ?? kept} onPick={may ? setSpot : undefined} />
            <div className="mt-2 flex flex-wrap items-center gap-3">
                {spot === null ? (
                    <p className="text-sm text-soft">
                        {kept === null && `Not marked on the drawing yet: ${f.finding.place}. `}
                        {may && (
                            <span className="noprint">
                                Touch {kept === null ? 'its place' : 'another place'} on any view to mark it.
                            </span>
                        )}
                    </p>
                ) : (
                    <>
                        <Button
                            kind="main"
                            className="min-h-12"
                            disabled={mark.isPending}
                            onClick={() => mark.mutate(spot)}
                        >
                            Mark it there
                        </Button>
                        <Button className="min-h-12" onClick={() => setSpot(null)}>
                            Leave it
                        </Button>
                    </>
                )}
            </div>
            <Trouble error={mark.error} />
        </div>
    );
}

export function Decide({ f }: { f: Detail }) {
    const [hours, setHours] = useState('');
    const make = useSend((body: { hours: number }, headers) =>
        take(api.POST('/api/findings/{id}/card', { params: { path: { id: f.finding.id } }, body, headers })),
    );
    const submit = (e: FormEvent) => {
        e.preventDefault();
        make.mutate({ hours: typed(hours) });
    };
    return (
        <div className="noprint">
            <div className="flex flex-wrap items-end gap-3">
                {f.fixCardId !== null && (
                    <ButtonLink to={`/floor/${f.fixCardId}`}>Card {f.fixCard} fixes it</ButtonLink>
                )}
                {f.may.includes('card') && (
                    <form onSubmit={submit} className="flex items-end gap-2">
                        <label>
                            <span className="mb-1 block text-sm font-semibold">Hours to fix it</span>
                            <input
                                name="hours"
                                inputMode="decimal"
                                value={hours}
                                onChange={(e) => setHours(e.target.value)}
                                className="h-12 w-28 rounded-lg border-2 border-soft bg-sheet px-3 font-mono"
                            />
                        </label>
                        <Button
                            kind="main"
                            type="submit"
                            className="min-h-12"
                            disabled={hours === '' || make.isPending}
                        >
                            Make its card
                        </Button>
                    </form>
                )}
                {f.may.includes('defer') && (
                    <ButtonLink to={`/deferrals/decide/${f.finding.id}`}>
                        Defer it under {f.options[0]}
                        {f.options.length > 1 && ' or another item'}
                    </ButtonLink>
                )}
                {f.fixedHow && (
                    <p>
                        <State state="clear" word="Fixed" /> {f.fixedHow}
                    </p>
                )}
            </div>
            <Trouble error={make.error} />
        </div>
    );
}

export function Photos({ f }: { f: Detail }) {
    const client = useQueryClient();
    const [error, setError] = useState<Failure | null>(null);
    const [busy, setBusy] = useState(false);
    const add = async (file: File) => {
        setBusy(true);
        setError(null);
        try {
            await sendPhoto(f.finding.id, file);
            await client.invalidateQueries({ queryKey: keys.finding(f.finding.id) });
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'The photo could not be sent.'));
        } finally {
            setBusy(false);
        }
    };
    return (
        <>
            <ul className="grid grid-cols-2 gap-3">
                {f.photos.map((p) => (
                    <li key={p.id}>
                        <a href={p.url} target="_blank" rel="noreferrer">
                            <img
                                src={p.url}
                                alt={`${f.finding.number}, ${p.at}`}
                                className="aspect-[4/3] w-full rounded-lg border border-rule object-cover"
                            />
                        </a>
                        <span className="text-sm text-soft">
                            {p.at}, {Math.ceil(p.bytes / 1024)} kB
                        </span>
                    </li>
                ))}
            </ul>
            {f.photos.length === 0 && f.sketch.length === 0 && <p className="text-soft">No photo and no sketch yet.</p>}
            {f.may.includes('photo') && (
                <PhotoPick
                    says={busy ? 'Sending…' : 'Add a photo'}
                    className="noprint mt-3"
                    onPhoto={(photo) => photo && void add(photo)}
                />
            )}
            <Trouble error={error} />
        </>
    );
}
