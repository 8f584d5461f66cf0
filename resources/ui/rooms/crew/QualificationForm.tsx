import { useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Check } from '../../parts/Check';
import { Field } from '../../parts/Field';
import { FormDialog } from '../../parts/FormDialog';
import { Pick } from '../../parts/Pick';
import { Choice } from '../../parts/Tabs';

type Kind = 'skill' | 'rating' | 'authority';
type Body = {
    version: number;
    do: 'grant' | 'withdraw';
    kind: Kind;
    value: string;
    until?: string | null;
    paper: string;
};

const authorities = { perform: 'works cards', duplicate: 'inspects', certify: 'certifies' };

/** A qualification: entered, renewed to another last day, or withdrawn; always with the paper or the reason. */
export function QualificationForm({
    room,
    one,
    onClose,
}: {
    room: Schemas['PersonRoom'];
    one: Schemas['QualificationAsked'] | null;
    onClose: () => void;
}) {
    const [what, setWhat] = useState<'grant' | 'withdraw'>('grant');
    const [kind, setKind] = useState<Kind>((one?.qualification.kind as Kind | undefined) ?? 'skill');
    const [value, setValue] = useState(one?.qualification.value ?? '');
    const [until, setUntil] = useState(one?.qualification.validUntil ?? '');
    const [ends, setEnds] = useState(one === null || one.qualification.validUntil !== null);
    const [paper, setPaper] = useState('');
    const send = useSend(
        (body: Body, headers) =>
            take(
                api.POST('/api/people/{id}/qualifications', {
                    params: { path: { id: room.person.id } },
                    body,
                    headers,
                }),
            ),
        onClose,
        { affects: touches.people },
    );
    const values = { skill: room.choices.skills, rating: room.choices.types, authority: Object.keys(authorities) }[
        kind
    ];
    return (
        <FormDialog
            title={one ? `${room.person.name}: ${one.qualification.words}` : `Something ${room.person.name} holds`}
            action={what === 'withdraw' ? 'Withdraw it' : one ? 'Renew it' : 'Enter it'}
            ready={value !== '' && paper !== '' && (what === 'withdraw' || !ends || until !== '')}
            send={send}
            onSend={() =>
                send.mutate({
                    version: room.version,
                    do: what,
                    kind,
                    value,
                    paper,
                    ...(what === 'grant' ? { until: ends ? until : null } : {}),
                })
            }
            onClose={onClose}
        >
            {one && (
                <Choice
                    label="What to do"
                    options={[
                        { value: 'grant', name: 'renew' },
                        { value: 'withdraw', name: 'withdraw' },
                    ]}
                    value={what}
                    onChange={setWhat}
                />
            )}
            {!one && (
                <div className="grid grid-cols-2 gap-4">
                    <Pick
                        big
                        label="Kind"
                        name="kind"
                        value={kind}
                        onChange={(v) => {
                            setKind(v as Kind);
                            setValue('');
                        }}
                    >
                        <option value="skill">skill</option>
                        <option value="rating">type rating</option>
                        <option value="authority">authority</option>
                    </Pick>
                    <Pick big label="Which" name="value" value={value} onChange={setValue}>
                        <option value="">choose one</option>
                        {values.map((v) => (
                            <option key={v} value={v}>
                                {authorities[v as keyof typeof authorities] ?? v}
                            </option>
                        ))}
                    </Pick>
                </div>
            )}
            {what === 'grant' && (
                <div className="grid grid-cols-2 items-end gap-4">
                    <Field
                        label="Last day"
                        name="until"
                        type="date"
                        disabled={!ends}
                        value={ends ? until : ''}
                        onChange={(e) => setUntil(e.target.value)}
                    />
                    <Check checked={!ends} onChange={(yes) => setEnds(!yes)}>
                        does not lapse
                    </Check>
                </div>
            )}
            {what === 'grant' && kind === 'authority' && room.choices.confirmed.includes(value) && (
                <p className="text-soft">
                    It judges the work of others: it is held once a second person has seen the paper and confirmed it.
                </p>
            )}
            {what === 'withdraw' && one && one.asked.length > 0 && (
                <div className="rounded-lg border-2 border-ochre bg-ochre-wash px-3 py-2">
                    <p>
                        {one.asked.length === 1 ? 'This open card asks' : `These ${one.asked.length} open cards ask`}{' '}
                        for it; whoever works {one.asked.length === 1 ? 'it' : 'them'} must then be somebody else:
                    </p>
                    <ul>
                        {one.asked.map((h) => (
                            <li key={h.cardId + h.role}>
                                <b>{h.mark}</b> {h.number} {h.title}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            <Field
                label={what === 'grant' ? 'By which paper' : 'Why'}
                name="paper"
                autoComplete="off"
                value={paper}
                onChange={(e) => setPaper(e.target.value)}
            />
        </FormDialog>
    );
}
