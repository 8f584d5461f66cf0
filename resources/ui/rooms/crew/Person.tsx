import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { usePerson, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { spanOf } from '../../parts/dates';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Page, Section, Wait } from '../../parts/Page';
import { Tabs } from '../../parts/Tabs';
import { capital } from '../../parts/words';
import { Days } from './Days';
import { Lapses } from './Lapses';
import { type As, PersonFields } from './PersonFields';
import { QualificationBars } from './QualificationBars';
import { QualificationForm } from './QualificationForm';
import { GiveSecrets, MakeCode } from './Secrets';
import { crewTabs } from './tabs';
import { Waiting } from './Waiting';

type Room = Schemas['PersonRoom'];
type Open = 'days' | 'change' | 'secrets' | 'code' | 'grant' | { qualification: Schemas['QualificationAsked'] } | null;

/** One person: what they may do and until when, where and when they work, and what was entered about them. */
export function Person() {
    const id = Number(useParams().id);
    return <Wait query={usePerson(id)}>{(room) => <PersonOf key={id} room={room} />}</Wait>;
}

function PersonOf({ room }: { room: Room }) {
    const [open, setOpen] = useState<Open>(null);
    const p = room.person;
    const edit = room.may.includes('edit');
    const qualify = room.may.includes('qualify');
    const close = () => setOpen(null);
    return (
        <Page
            over={<Tabs label="Crew" tabs={crewTabs} />}
            sentence={room.sentence}
            note={`${p.role} ${p.stamp}, ${p.base}, ${p.shift} shift${p.trainee ? `, trainee under ${p.supervisor}` : ''}${room.leaves ? `; last day ${room.leaves}` : ''}; on ${p.cards === 1 ? '1 open card' : `${p.cards} open cards`}.`}
            actions={
                <>
                    {edit && <Button onClick={() => setOpen('days')}>Days</Button>}
                    {edit && <Button onClick={() => setOpen('change')}>Change</Button>}
                    {qualify && <Button onClick={() => setOpen('secrets')}>New password and PIN</Button>}
                    {room.may.includes('vouch') && <Button onClick={() => setOpen('code')}>Code for a PIN</Button>}
                </>
            }
        >
            {room.lapses.length > 0 && <Lapses lapses={room.lapses} />}
            {!room.ownPin && (
                <p className="mt-3 rounded-lg border-2 border-ochre bg-ochre-wash px-3 py-2">
                    {p.name} has not chosen a PIN yet, and signs nothing until then. A second person, who did not give
                    the password, makes the code for it.
                </p>
            )}
            <Section
                title="Qualifications"
                aside={qualify && <Button onClick={() => setOpen('grant')}>Add a qualification</Button>}
            >
                {room.waiting.length > 0 && <Waiting room={room} />}
                <QualificationBars
                    list={room.qualifications}
                    onChoose={qualify ? (h) => setOpen({ qualification: h }) : null}
                />
            </Section>
            <Section title="Rest and days off">
                {room.rest.map((r) => (
                    <p key={r} className="py-1 text-ochre">
                        {capital(r)}.
                    </p>
                ))}
                {p.away.map((a) => (
                    <p key={a.from} className="py-1">
                        {spanOf(a)}: {a.shift ? `${a.shift} shift, ${a.why}` : a.why}
                    </p>
                ))}
                {room.rest.length === 0 && p.away.length === 0 && (
                    <p className="text-soft">The usual week, with rest enough, for the next four weeks.</p>
                )}
            </Section>
            <Section title="What was entered">
                <ul>
                    {room.entries.map((e) => (
                        <li
                            key={e.at + e.said}
                            className="grid grid-cols-[10rem_minmax(0,1fr)_12rem] gap-3 border-b border-rule/60 py-1.5 max-[900px]:grid-cols-1"
                        >
                            <span className="font-mono text-sm">{e.at}</span>
                            <span>{e.said}</span>
                            <span className="text-sm text-soft">{e.who}</span>
                        </li>
                    ))}
                    {room.entries.length === 0 && <li className="text-soft">Nothing since they were first entered.</li>}
                </ul>
            </Section>
            {open === 'days' && <Days person={p} shifts={room.choices.shifts} onClose={close} />}
            {open === 'change' && <Change room={room} onClose={close} />}
            {open === 'secrets' && <GiveSecrets person={p} onClose={close} />}
            {open === 'code' && <MakeCode person={p} onClose={close} />}
            {open === 'grant' && <QualificationForm room={room} one={null} onClose={close} />}
            {typeof open === 'object' && open !== null && (
                <QualificationForm room={room} one={open.qualification} onClose={close} />
            )}
        </Page>
    );
}

/** Where, when and as what they work, and their last day. */
function Change({ room, onClose }: { room: Room; onClose: () => void }) {
    const { person: p } = room;
    const [as, setAs] = useState<As>({
        name: p.name,
        stamp: p.stamp,
        role: p.role,
        base: p.base,
        shift: p.shift,
        weekdays: room.weekdays,
        trainee: p.trainee,
        supervisor: room.supervisorId,
        leaves: room.leaves,
    });
    const send = useSend(
        (body: As & { version: number }, headers) =>
            take(api.POST('/api/people/{id}', { params: { path: { id: p.id } }, body, headers })),
        onClose,
        { affects: touches.people },
    );
    return (
        <FormDialog
            title={`Change what is on record of ${p.name}`}
            wide
            action="Save the change"
            ready
            send={send}
            onSend={() => send.mutate({ ...as, version: room.version })}
            onClose={onClose}
        >
            <PersonFields as={as} choices={room.choices} set={(part) => setAs({ ...as, ...part })} />
            <Field
                label="Last day"
                name="leaves"
                type="date"
                className="w-64"
                hint="Only when they leave. After it they cannot sign in; what they signed stands."
                value={as.leaves ?? ''}
                onChange={(e) => setAs({ ...as, leaves: e.target.value === '' ? null : e.target.value })}
            />
        </FormDialog>
    );
}
