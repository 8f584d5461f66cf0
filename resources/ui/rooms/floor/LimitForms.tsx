import { useState } from 'react';
import { type Asked, api, Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { useAsking } from '../../api/useAsking';
import { Field } from '../../parts/Field';
import { FilePick } from '../../parts/FilePick';
import { FormDialog } from '../../parts/FormDialog';
import { useFields } from '../../parts/fields';
import { Trouble } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

const sources = [
    { value: 'crew', name: 'the crew' },
    { value: 'run', name: 'a ground run' },
    { value: 'recorder', name: 'the recorder' },
] as const;

/** What the server would make of it, as one types. */
function usePreview(body: Asked<'previewExceedance'> | null): { said: string | null; refused: string | null } {
    const { said, failed } = useAsking(body, (of) => take(api.POST('/api/exceedances/preview', { body: of })), 200);
    return failed ? { said: null, refused: failed.message } : { said: said?.sentence ?? null, refused: null };
}

/** A limit was exceeded, as somebody tells it; what its table says stands under the fields before it is saved. */
export function Exceeded({ room, onClose }: { room: Schemas['ExceedancesView']; onClose: () => void }) {
    const {
        values: v,
        bind,
        set,
    } = useFields({
        mark: '',
        rule: '',
        position: '',
        peak: '',
        seconds: '',
        date: room.today,
        time: room.now,
        note: '',
    });
    const [source, setSource] = useState<(typeof sources)[number]['value']>('crew');
    const type = room.aircraft.find((a) => a.mark === v.mark)?.type;
    const limits = room.limits.filter((l) => l.type === type);
    const limit = limits.find((l) => l.code === v.rule);
    const ready = limit !== undefined && v.position !== '' && v.peak.trim() !== '' && v.seconds.trim() !== '';
    const body = { ...v, source };
    const preview = usePreview(ready ? body : null);
    const send = useSend(
        (b: Asked<'enterExceedance'>, headers) => take(api.POST('/api/exceedances', { body: b, headers })),
        onClose,
    );
    return (
        <FormDialog
            title="A limit was exceeded"
            action="Record it"
            ready={ready && preview.refused === null}
            send={send}
            onSend={() => send.mutate(body)}
            onClose={onClose}
            wide
        >
            <div className="grid grid-cols-[10rem_minmax(0,1fr)_10rem] gap-3">
                <Pick
                    label="Aircraft"
                    name="mark"
                    big
                    value={v.mark}
                    onChange={(mark) => set({ mark, rule: '', position: '' })}
                >
                    <option value="">choose one</option>
                    {room.aircraft.map((a) => (
                        <option key={a.mark}>{a.mark}</option>
                    ))}
                </Pick>
                <Pick label="Limit" name="rule" big value={v.rule} onChange={(rule) => set({ rule, position: '' })}>
                    <option value="">{type && limits.length === 0 ? 'none for this type' : 'choose one'}</option>
                    {limits.map((l) => (
                        <option key={l.code} value={l.code}>
                            {l.limit}
                        </option>
                    ))}
                </Pick>
                <Pick label="Where" name="position" big value={v.position} onChange={(position) => set({ position })}>
                    <option value="">choose one</option>
                    {limit?.positions.map((p) => (
                        <option key={p}>{p}</option>
                    ))}
                </Pick>
            </div>
            <div className="grid grid-cols-4 gap-3">
                <Field label={limit ? `Highest, ${limit.unit}` : 'Peak'} inputMode="decimal" {...bind('peak')} />
                <Field label="Beyond it for, s" inputMode="decimal" {...bind('seconds')} />
                <Field label="On" type="date" {...bind('date')} />
                <Field label="At, local" inputMode="numeric" placeholder="HH:MM" {...bind('time')} />
            </div>
            <div className="flex items-center gap-3">
                <b>Told by</b>
                <Choice big label="Told by" options={sources} value={source} onChange={setSource} />
            </div>
            <Field label="A word" {...bind('note')} />
            <p
                className={`min-h-12 text-[1.1rem] font-semibold ${preview.refused ? 'text-rust' : ''}`}
                aria-live="polite"
                data-testid="verdict"
            >
                {preview.refused ?? preview.said ?? 'Its table is read as soon as peak and time are entered.'}
            </p>
        </FormDialog>
    );
}

/** A recorder's file: checked whole and shown first. */
export function Recorder({ onClose }: { onClose: () => void }) {
    const [text, setText] = useState('');
    const [seen, setSeen] = useState<Schemas['RecorderPreview'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const send = useSend(
        (body: { text: string }, headers) => take(api.POST('/api/exceedances/recorder', { body, headers })),
        onClose,
    );
    const look = async (file: File) => {
        const of = await file.text();
        setText(of);
        setSeen(null);
        setError(null);
        try {
            setSeen(await take(api.POST('/api/exceedances/recorder/preview', { body: { text: of } })));
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'The file could not be read.'));
        }
    };
    return (
        <FormDialog
            title="What a recorder gives out"
            action="Record them"
            ready={seen !== null}
            send={send}
            onSend={() => send.mutate({ text })}
            onClose={onClose}
            wide
        >
            <FilePick
                says="Choose a CSV: mark, rule, position, peak, seconds, at (UTC)"
                name="recorder"
                accept=".csv"
                onFile={(file) => void look(file)}
            />
            <Trouble error={error} />
            {seen && (
                <div data-testid="seen">
                    <p className="font-semibold">{seen.sentence}</p>
                    <ul className="mt-1 space-y-1">
                        {seen.lines.map((l) => (
                            <li key={l}>{l}</li>
                        ))}
                    </ul>
                </div>
            )}
        </FormDialog>
    );
}
