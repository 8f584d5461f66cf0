import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useCardChanges, useCardTemplate, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Page, Section, Trouble, Wait } from '../../parts/Page';
import { Signature } from '../../parts/Signature';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { CardLive, useCardPreview } from './CardLive';
import { type At, type Body, key, listed } from './card';

type Room = Schemas['CardRoom'];

/** One card template: its text in force, its draft, its versions beside each other. */
export function LibraryCard() {
    const { type = '', '*': code = '' } = useParams();
    return <Wait query={useCardTemplate(type, code)}>{(room) => <CardOf key={code} room={room} />}</Wait>;
}

function CardOf({ room }: { room: Room }) {
    const [shown, setShown] = useState<'draft' | 'force'>(room.draft ? 'draft' : 'force');
    const [signing, setSigning] = useState<'check' | 'force' | null>(null);
    const body = (shown === 'draft' ? room.draft : room.inForce) ?? room.inForce ?? room.draft;
    const discard = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/library/drafts/{id}/discard', {
                    params: { path: { id: room.draftId ?? 0 } },
                    body: { version: room.draftVersion ?? 0 },
                    headers,
                }),
            ),
        () => setShown('force'),
        { affects: touches.library },
    );
    return (
        <Page
            over={
                <>
                    <Link to="/library" className="underline underline-offset-4">
                        Library
                    </Link>{' '}
                    · <b className="font-mono text-ink">{room.type}</b> · {room.title}
                </>
            }
            sentence={room.sentence}
            note={room.draft ? room.note : undefined}
            actions={
                <>
                    {room.may.includes('check') && (
                        <Button kind="main" onClick={() => setSigning('check')}>
                            Check it
                        </Button>
                    )}
                    {room.may.includes('force') && (
                        <Button kind="main" onClick={() => setSigning('force')}>
                            Bring it into force
                        </Button>
                    )}
                    {room.may.includes('write') && (
                        <Link
                            to={`/library/write/${room.type}/${room.code}`}
                            className="inline-flex min-h-9 items-center rounded-lg border border-ink bg-sheet px-3.5 font-semibold"
                        >
                            {room.draft ? 'Write at the draft' : 'Change it'}
                        </Link>
                    )}
                    {room.draft && room.may.includes('write') && (
                        <Button disabled={discard.isPending} onClick={() => discard.mutate(null)}>
                            Discard the draft
                        </Button>
                    )}
                </>
            }
        >
            <Trouble error={discard.error} />
            {room.draft && room.inForce && (
                <Choice
                    label="Which text"
                    value={shown}
                    options={[
                        { value: 'draft', name: 'The draft' },
                        { value: 'force', name: 'In force' },
                    ]}
                    onChange={setShown}
                />
            )}
            <Read type={room.type} body={body as unknown as Body} />
            {room.versions.length > 0 && <Versions room={room} />}
            {signing && <Sign room={room} what={signing} onClose={() => setSigning(null)} />}
        </Page>
    );
}

/** A text to be read: its steps on the left, the one in hand as the technician gets it. */
function Read({ type, body }: { type: string; body: Body }) {
    const preview = useCardPreview(type, body);
    const [at, setAt] = useState<At | null>({ i: 0, k: null });
    const facts = [
        ['from', `${String(body.manual)} ${String(body.section)}, revision ${String(body.revision)}`],
        ['work', `${String(body.skill)}, ${String(body.hours)} h, ${String(body.zone)}, stage ${String(body.stage)}`],
        ...(['systems', 'panels', 'ground', 'after', 'covers'] as const).flatMap((f) =>
            Array.isArray(body[f]) && body[f].length > 0 ? [[f, (body[f] as string[]).join(', ')]] : [],
        ),
    ];
    return (
        <div className="mt-3 grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-6">
            <div>
                <dl className="mb-3 grid grid-cols-[5rem_1fr] gap-x-2 text-sm">
                    {facts.map(([name, said]) => (
                        <div key={name} className="contents">
                            <dt className="text-soft">{name}</dt>
                            <dd>{said}</dd>
                        </div>
                    ))}
                </dl>
                <ol>
                    {listed(body.steps).map((r) => (
                        <li key={key(r.at)} className={r.at.k === null ? '' : 'ml-5 border-l-2 border-slate pl-1'}>
                            <button
                                type="button"
                                aria-current={at && key(at) === key(r.at) ? 'step' : undefined}
                                onClick={() => setAt(r.at)}
                                className={`grid min-h-9 w-full grid-cols-[8.5rem_minmax(0,1fr)] items-center rounded-lg border px-2 text-left leading-tight ${at && key(at) === key(r.at) ? 'border-ink bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'}`}
                            >
                                <span className="text-sm text-soft">{r.step.kind.replace('_', ' ')}</span>
                                {r.step.title}
                            </button>
                        </li>
                    ))}
                </ol>
            </div>
            <CardLive type={type} body={body} at={at} preview={preview} onGo={setAt} />
        </div>
    );
}

function Versions({ room }: { room: Room }) {
    const numbers = room.versions.map((v) => v.no);
    const [pair, setPair] = useState<[number, number]>([numbers[1] ?? numbers[0] ?? 1, numbers[0] ?? 1]);
    const pick = (n: 0 | 1) => (
        <select
            aria-label={n === 0 ? 'Older version' : 'Newer version'}
            className="h-10 rounded-lg border-2 border-soft bg-sheet px-2"
            value={pair[n]}
            onChange={(e) => setPair(n === 0 ? [Number(e.target.value), pair[1]] : [pair[0], Number(e.target.value)])}
        >
            {numbers.map((no) => (
                <option key={no} value={no}>
                    version {no}
                </option>
            ))}
        </select>
    );
    return (
        <Section title="Versions">
            <table className="w-full text-left">
                <tbody>
                    {room.versions.map((v) => (
                        <tr key={v.no} className="border-b border-rule/60 align-top" data-version={v.no}>
                            <td className="py-1.5 pr-4 font-mono font-bold">{v.no}</td>
                            <td className="pr-4">
                                <State
                                    state={v.state === 'in force' ? 'clear' : v.state === 'draft' ? 'watch' : 'waiting'}
                                    word={v.state}
                                />
                            </td>
                            <td className="pr-4">
                                {v.note}
                                <span className="block text-sm text-soft">{v.steps} steps written</span>
                            </td>
                            <td className="pr-4 text-sm">
                                {v.writers !== '' && `written by ${v.writers}, ${v.writtenAt}`}
                                {v.checked && <span className="block">checked by {v.checked}</span>}
                                {v.forced && <span className="block">in force by {v.forced}</span>}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </table>
            {numbers.length > 1 && (
                <div className="mt-4">
                    <p className="flex items-center gap-2">
                        <b>What changed</b> from {pick(0)} to {pick(1)}
                    </p>
                    {pair[0] !== pair[1] && <Changes type={room.type} code={room.code} from={pair[0]} to={pair[1]} />}
                </div>
            )}
        </Section>
    );
}

function Changes({ type, code, from, to }: { type: string; code: string; from: number; to: number }) {
    return (
        <Wait query={useCardChanges(type, code, from, to)}>
            {(changes) => (
                <ul className="mt-2 divide-y divide-rule" data-testid="changes">
                    {changes.length === 0 && <li className="text-soft">They are the same.</li>}
                    {changes.map((c) => (
                        <li key={c.at} className="grid grid-cols-[8rem_minmax(0,1fr)_minmax(0,1fr)] gap-3 py-2">
                            <b>
                                {c.at}
                                {c.warningGone && (
                                    <span className="block">
                                        <State state="stop" word="a warning went" />
                                    </span>
                                )}
                            </b>
                            <del className={c.was === '' ? 'no-underline' : 'bg-rust-wash decoration-rust'}>
                                {c.was === '' ? <i className="text-soft">nothing</i> : c.was}
                            </del>
                            <ins className={c.is === '' ? 'no-underline' : 'bg-shade no-underline'}>
                                {c.is === '' ? <i className="text-soft">nothing</i> : c.is}
                            </ins>
                        </li>
                    ))}
                </ul>
            )}
        </Wait>
    );
}

function Sign({ room, what, onClose }: { room: Room; what: 'check' | 'force'; onClose: () => void }) {
    const send = useSend(
        (body: { stamp: string; pin: string }, headers) => {
            const ask = {
                params: { path: { id: room.draftId ?? 0 } },
                body: { ...body, version: room.draftVersion ?? 0 },
                headers,
            };
            return take(
                what === 'check'
                    ? api.POST('/api/library/drafts/{id}/check', ask)
                    : api.POST('/api/library/drafts/{id}/force', ask),
            );
        },
        onClose,
        { affects: what === 'check' ? touches.library : 'everything' },
    );
    return (
        <Signature
            open
            title={what === 'check' ? `Check ${room.code}` : `Bring ${room.code} into force`}
            says={
                what === 'check'
                    ? `I have read this draft of ${room.code} against the passage that it is written from, and its warnings, limits and proofs are those of the approved data.`
                    : `${room.code} is worked by this text from now on. Cards that are made already keep the text that they were made from.`
            }
            busy={send.isPending}
            error={send.error}
            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
            onClose={onClose}
        />
    );
}
