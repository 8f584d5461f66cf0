import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, Failure, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Field } from '../../parts/Field';
import { FilePick } from '../../parts/FilePick';
import { FormDialog } from '../../parts/FormDialog';
import { Trouble } from '../../parts/Page';
import { State } from '../../parts/State';

const box = 'h-12 w-full rounded-lg border-2 border-soft bg-sheet px-3';

/** A recorder's file, from disk or from the simulator: checked whole and shown before it is saved. */
export function BringRecording({ room, onClose }: { room: Schemas['RecordingsRoom']; onClose: () => void }) {
    const go = useNavigate();
    const running = room.aircraft.flatMap((a) => a.attempts.map((t) => ({ ...t, mark: a.mark })));
    const [mark, setMark] = useState(running[0]?.mark ?? '');
    const craft = room.aircraft.find((a) => a.mark === mark);
    const recorders = room.recorders.filter((r) => r.type === craft?.type);
    const [attempt, setAttempt] = useState(running[0] ? String(running[0].id) : '');
    const [begun, setBegun] = useState(running[0]?.begun ?? '');
    const [file, setFile] = useState<{ name: string; text: string } | null>(null);
    const [seen, setSeen] = useState<Schemas['RecordingPreview'] | null>(null);
    const [error, setError] = useState<Failure | null>(null);
    const [looking, setLooking] = useState(false);
    const recorder = recorders[0];
    const body = (of: { name: string; text: string }) => ({
        mark,
        recorder: recorder?.id ?? 0,
        name: of.name,
        begun,
        text: of.text,
        ...(attempt === '' ? {} : { attempt: Number(attempt) }),
    });
    const look = async (of: { name: string; text: string }) => {
        setFile(of);
        setSeen(null);
        setError(null);
        setLooking(true);
        try {
            setSeen(await take(api.POST('/api/bench/recordings/look', { body: body(of) })));
        } catch (e) {
            setError(e instanceof Failure ? e : new Failure(0, 'The file could not be read.'));
        }
        setLooking(false);
    };
    const simulate = async () => {
        const seed = 1;
        const answer = await fetch(`/api/bench/recorders/${recorder?.id}/simulated.csv?seed=${seed}`);
        await look({ name: `Simulated run ${seed}`, text: await answer.text() });
    };
    const send = useSend(
        (of: { name: string; text: string }, headers) =>
            take(api.POST('/api/bench/recordings', { body: body(of), headers })),
        (out) => {
            onClose();
            void go(`/bench/recordings/${out.id}`);
        },
    );
    const ready = craft !== undefined && recorder !== undefined && begun !== '';
    return (
        <FormDialog
            title="Bring in a recording"
            action="Save it"
            ready={seen !== null && file !== null}
            send={send}
            onSend={() => file && send.mutate(file)}
            onClose={onClose}
            wide
        >
            <div className="grid grid-cols-2 gap-4">
                <label>
                    <span className="mb-1 block font-semibold">Aircraft</span>
                    <select
                        name="mark"
                        className={box}
                        value={mark}
                        onChange={(e) => {
                            setMark(e.target.value);
                            const of = room.aircraft.find((a) => a.mark === e.target.value)?.attempts[0];
                            setAttempt(of ? String(of.id) : '');
                            setBegun(of?.begun ?? begun);
                            setSeen(null);
                        }}
                    >
                        <option value="">choose</option>
                        {room.aircraft.map((a) => (
                            <option key={a.mark}>{a.mark}</option>
                        ))}
                    </select>
                </label>
                <label>
                    <span className="mb-1 block font-semibold">Of the attempt</span>
                    <select
                        name="attempt"
                        className={box}
                        value={attempt}
                        onChange={(e) => {
                            setAttempt(e.target.value);
                            setBegun(craft?.attempts.find((t) => String(t.id) === e.target.value)?.begun ?? begun);
                        }}
                    >
                        <option value="">none</option>
                        {craft?.attempts.map((t) => (
                            <option key={t.id} value={t.id}>
                                {t.title}
                            </option>
                        ))}
                    </select>
                </label>
            </div>
            <Field
                label="Begun (UTC)"
                name="begun"
                placeholder="2026-05-05T10:00:00Z"
                value={begun}
                onChange={(e) => setBegun(e.target.value)}
                hint={
                    craft !== undefined && recorder === undefined
                        ? `No recorder of the ${craft.type} is known.`
                        : recorder && `${recorder.code}, ${recorder.title}`
                }
            />
            {ready && (
                <div className="flex flex-wrap items-center gap-3">
                    <FilePick
                        says="Choose its file"
                        hint="CSV"
                        name="recording"
                        accept=".csv,.txt"
                        onFile={(f) => void f.text().then((text) => look({ name: f.name, text }))}
                    />
                    <Button onClick={() => void simulate()}>From the simulator</Button>
                </div>
            )}
            {looking && <p role="status">Reading {file?.name}…</p>}
            <Trouble error={error} />
            {seen && (
                <div data-testid="seen">
                    <p className="font-semibold">{seen.sentence}</p>
                    <ul>
                        {seen.beyond.map((b) => (
                            <li key={`${b.from}`}>
                                <State state="stop" word={`at ${b.from.toFixed(1)} s`} /> {b.said}
                            </li>
                        ))}
                        {seen.gaps.map((g) => (
                            <li key={g.line}>
                                <State state="watch" word={`after line ${g.line}`} /> nothing for{' '}
                                {(g.to - g.from).toFixed(1)} s
                            </li>
                        ))}
                    </ul>
                </div>
            )}
        </FormDialog>
    );
}
