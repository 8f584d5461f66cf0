import { useState } from 'react';
import { Link } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useRecordings, useSend } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Section, Wait } from '../../parts/Page';
import { type Column, Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { BringRecording } from './BringRecording';
import { stateAndAircraft } from './columns';
import { benchTabs } from './tabs';

const columns: Column<Schemas['RecordingRow']>[] = [
    ...stateAndAircraft<Schemas['RecordingRow']>(),
    {
        id: 'name',
        header: 'Recording',
        accessorKey: 'name',
        cell: ({ row }) => (
            <Link to={`/bench/recordings/${row.original.id}`} className="underline underline-offset-4">
                {row.original.name}
            </Link>
        ),
    },
    { id: 'begun', header: 'Begun', accessorKey: 'begun' },
    { id: 'minutes', header: 'Minutes', accessorKey: 'minutes' },
    { id: 'test', header: 'Of the test', accessorFn: (r) => r.test ?? '' },
];

/** What recorders took, and how each recorder is read. */
export function Recordings() {
    const [bring, setBring] = useState(false);
    const [map, setMap] = useState<Schemas['RecorderView'] | null>(null);
    return (
        <Wait query={useRecordings()}>
            {(room) => (
                <Page
                    over={<Tabs label="Bench" tabs={benchTabs} />}
                    sentence={room.sentence}
                    actions={
                        room.may && (
                            <Button kind="main" onClick={() => setBring(true)}>
                                Bring in a recording
                            </Button>
                        )
                    }
                >
                    <Table name="recordings" rows={room.recordings} columns={columns} empty="No recording yet." />
                    <Section title="Recorders">
                        <ul className="divide-y divide-rule">
                            {room.recorders.map((r) => (
                                <li key={r.id} className="flex min-h-12 flex-wrap items-center gap-x-4">
                                    <b className="font-mono">{r.code}</b>
                                    <span className="flex-1">
                                        {r.title}, {r.type}
                                    </span>
                                    <a
                                        className="underline underline-offset-4"
                                        href={`/api/bench/recorders/${r.id}/simulated.csv?seed=1`}
                                    >
                                        a simulated run
                                    </a>
                                    {room.mayMap && (
                                        <Button kind="quiet" onClick={() => setMap(r)}>
                                            How it is read
                                        </Button>
                                    )}
                                </li>
                            ))}
                        </ul>
                        {room.recorders.length === 0 && (
                            <p className="text-soft">No recorder is known yet. One comes with its type.</p>
                        )}
                    </Section>
                    {bring && <BringRecording room={room} onClose={() => setBring(false)} />}
                    {map && <HowRead recorder={map} onClose={() => setMap(null)} />}
                </Page>
            )}
        </Wait>
    );
}

/** Which column of a recorder's file is what, in which unit: put down once. */
function HowRead({ recorder, onClose }: { recorder: Schemas['RecorderView']; onClose: () => void }) {
    const [text, setText] = useState(recorder.json);
    const send = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/bench/recorders/{id}', {
                    params: { path: { id: recorder.id } },
                    body: { text, version: recorder.version },
                    headers,
                }),
            ),
        onClose,
    );
    return (
        <FormDialog
            title={`How ${recorder.code} is read`}
            action="Save"
            ready={text !== recorder.json}
            send={send}
            onSend={() => send.mutate(null)}
            onClose={onClose}
            wide
        >
            <p className="text-soft">
                The column of the time and in what it counts, the column of the mode, and for each signal its column,
                its unit, and the rule that it is watched against.
            </p>
            <textarea
                aria-label="How it is read, as JSON"
                name="text"
                spellCheck={false}
                value={text}
                onChange={(e) => setText(e.target.value)}
                className="h-[52vh] w-full rounded-lg border-2 border-soft bg-sheet p-2 font-mono text-[13px]"
            />
        </FormDialog>
    );
}
