import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useManual } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Page, Section, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Beside } from './ManualDiff';
import { Many } from './ManualMany';
import { Questions } from './ManualQuestions';
import { Accept, Reread } from './ManualReread';

export type Room = Schemas['ManualRoom'];
export type Piece = Schemas['DiffPiece'];

/** A manual: what its last revision changed, old beside new, and who must read what again before anyone starts. */
export function Manual() {
    return <Wait query={useManual(String(useParams().code))}>{(room) => <ManualOf room={room} />}</Wait>;
}

function ManualOf({ room }: { room: Room }) {
    const [reading, setReading] = useState<Schemas['MarkedTemplate'] | null>(null);
    const [accepting, setAccepting] = useState<Schemas['MarkedCard'] | null>(null);
    const [all, setAll] = useState(false);
    const [many, setMany] = useState(false);
    const marked = room.templates.filter((t) => t.marked);
    // What a marked template already shows is not told twice.
    const changed = room.passages.filter((p) => p.state !== 'same' && !marked.some((t) => t.section === p.section));
    return (
        <Page
            over={
                <Link className="underline underline-offset-4" to="/library">
                    Library
                </Link>
            }
            sentence={room.sentence}
            note={`${room.title}, revision ${room.revision}${room.revisions[0] ? `, issued ${short(room.revisions[0].issued)}: ${room.revisions[0].summary}` : ''}`}
            actions={
                <>
                    {room.may.includes('reread') && marked.length + room.cards.length > 1 && (
                        <Button onClick={() => setMany(true)}>Accept many</Button>
                    )}
                    <Button onClick={() => window.print()}>Print</Button>
                </>
            }
        >
            {marked.map((t) => (
                <div key={t.id} className="mb-3 rounded-xl border-2 border-rust bg-sheet p-4" data-template={t.code}>
                    <div className="flex flex-wrap items-center justify-between gap-3">
                        <p>
                            <State state="stop" word="read again" /> <b className="font-mono">{t.code}</b>{' '}
                            <b>{t.title}</b>{' '}
                            <span className="text-soft">
                                from revision {t.revision}
                                {t.method && `, method: ${t.method}`}; {t.textState}
                            </span>
                        </p>
                        {room.may.includes('reread') && (
                            <Button kind="main" className="min-h-12" onClick={() => setReading(t)}>
                                I read it again
                            </Button>
                        )}
                    </div>
                    {t.pieces.length > 0 && (
                        <Beside pieces={t.pieces} old={`revision ${t.revision}`} now={`revision ${room.revision}`} />
                    )}
                    {t.lost.map((w) => (
                        <p key={w} className="mt-2">
                            <State state="stop" word="A warning went, or was reworded" />: “{w}”
                        </p>
                    ))}
                    {t.contradicts.map((c) => (
                        <p key={c} className="mt-1">
                            <State state="watch" word="Another figure" />: {c}
                        </p>
                    ))}
                    {t.proposed && (
                        <p className="mt-2">
                            The revision brings a method for it: <b>{t.proposed}</b>.
                        </p>
                    )}
                </div>
            ))}
            {room.cards.length > 0 && (
                <Section title="Open cards to be accepted">
                    <ul className="divide-y divide-rule">
                        {room.cards.map((c) => (
                            <li
                                key={c.id}
                                className="flex min-h-14 flex-wrap items-center justify-between gap-3 py-2"
                                data-card={c.number}
                            >
                                <span>
                                    <b className="font-mono">{c.mark}</b>{' '}
                                    <Link className="underline underline-offset-4" to={`/floor/${c.id}`}>
                                        {c.number} {c.title}
                                    </Link>{' '}
                                    <span className="text-soft">
                                        from revision {c.revision}
                                        {c.begun ? ', begun' : ', not begun'}
                                    </span>
                                </span>
                                {c.templateRead ? (
                                    <Button className="min-h-12" onClick={() => setAccepting(c)}>
                                        Accept it
                                    </Button>
                                ) : (
                                    <State state="waiting" word="its template comes first" />
                                )}
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
            {changed.length > 0 && (
                <Section
                    title={
                        marked.length > 0
                            ? `What else revision ${room.revision} changed`
                            : `What revision ${room.revision} changed`
                    }
                >
                    {changed.map((p) => (
                        <div key={p.section} className="mb-4">
                            <h3 className="font-semibold">
                                <span className="font-mono">{p.section}</span> {p.title}{' '}
                                <span className="font-normal text-soft">{p.state}</span>
                            </h3>
                            <Beside pieces={p.pieces} old="before" now={`revision ${room.revision}`} />
                        </div>
                    ))}
                </Section>
            )}
            <Questions room={room} />
            <Section
                title="Card templates written from it"
                aside={
                    <Button kind="quiet" onClick={() => setAll(!all)}>
                        {all ? 'fewer' : `all ${room.templates.length}`}
                    </Button>
                }
            >
                <ul className="divide-y divide-rule/60">
                    {room.templates
                        .filter((t) => all || t.reread || t.method || t.stays)
                        .map((t) => (
                            <li key={t.id} className="py-1.5">
                                <State state={t.marked ? 'stop' : 'clear'} word={t.marked ? 'read again' : 'current'} />{' '}
                                <b className="font-mono">{t.code}</b> {t.title}, revision {t.revision}
                                {t.stays && ', stays there'}
                                {t.method && `; method: ${t.method}`}
                                {t.fleets.length > 0 && ` for ${t.fleets.join(', ')}`}
                                {t.reread && <span className="block text-sm text-soft">Read again by {t.reread}</span>}
                            </li>
                        ))}
                </ul>
            </Section>
            {reading && <Reread template={reading} room={room} onClose={() => setReading(null)} />}
            {many && <Many room={room} onClose={() => setMany(false)} />}
            {accepting && <Accept card={accepting} onClose={() => setAccepting(null)} />}
        </Page>
    );
}
