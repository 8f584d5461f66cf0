import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useCardTemplate, useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import { Button, ButtonLink } from '../../parts/Button';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Signature } from '../../parts/Signature';
import { Choice } from '../../parts/Tabs';
import { CardLessons } from './CardLessons';
import { CardRead } from './CardRead';
import { CardVersions } from './CardVersions';
import type { Body } from './card';

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
                        <ButtonLink to={`/library/write/${room.type}/${room.code}`} big={false}>
                            {room.draft ? 'Write at the draft' : 'Change it'}
                        </ButtonLink>
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
            <CardLessons room={room} />
            <CardRead type={room.type} body={body as unknown as Body} />
            {room.versions.length > 0 && <CardVersions room={room} />}
            {signing && <Sign room={room} what={signing} onClose={() => setSigning(null)} />}
        </Page>
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
                    ? `I have read this draft of ${room.code} against the passage that it is written from, and its ` +
                      'warnings, limits and proofs are those of the approved data.'
                    : `${room.code} is worked by this text from now on. Cards that are made already keep the text ` +
                      'that they were made from.'
            }
            busy={send.isPending}
            error={send.error}
            onSign={(stamp, pin) => send.mutate({ stamp, pin })}
            onClose={onClose}
        />
    );
}
