import { DndContext, useDraggable, useDroppable } from '@dnd-kit/core';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, type Failure, type Schemas, take } from '../../api/client';
import { useSend, useShift } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { DateInput, whole } from '../../parts/DateInput';
import { Dialog } from '../../parts/Dialog';
import { Dragged, useDragSensors } from '../../parts/drag';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Glyph, State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { crewTabs } from './tabs';

type Shown = Schemas['ShiftView'];
type Slot = Schemas['SlotView'];
type Places = Record<string, number>;

const roles: Record<string, string> = { perform: 'works', duplicate: 'inspects', certify: 'certifies' };
const placesOf = (v: Shown): Places => Object.fromEntries(v.slots.flatMap((s) => (s.person === null ? [] : [[s.id, s.person]])));

/** A shift: its places, who takes which, and why nobody can take those that stay open. */
export function Shift() {
    const [query, setQuery] = useSearchParams();
    const ask = { base: query.get('base') ?? undefined, date: query.get('date') ?? undefined, shift: query.get('shift') ?? undefined };
    return (
        <Wait query={useShift(ask)}>
            {(kept) => <ShiftOf key={`${kept.base}${kept.date}${kept.shift}`} kept={kept} onGo={(q) => setQuery(q)} />}
        </Wait>
    );
}

function ShiftOf({ kept, onGo }: { kept: Shown; onGo: (q: { base: string; date: string; shift: string }) => void }) {
    const [view, setView] = useState(kept);
    const [changed, setChanged] = useState(false);
    const [open, setOpen] = useState<Slot | null>(null);
    const [said, setSaid] = useState<string | null>(null);
    const [trouble, setTrouble] = useState<Failure | null>(null);
    const at = { base: view.base, date: view.date, shift: view.shift };
    const may = view.may.includes('roster');
    // What the server holds is shown as long as nothing was moved here.
    useEffect(() => {
        if (!changed) {
            setView(kept);
        }
    }, [kept, changed]);
    // One after the other, each from what the last one left: two quick drops are both kept.
    const shown = useRef(view);
    shown.current = view;
    const queue = useRef(Promise.resolve());
    const [waiting, setWaiting] = useState(0);
    const judge = (change: (places: Places) => Places, fill: boolean) => {
        setWaiting((n) => n + 1);
        queue.current = queue.current.then(async () => {
            setTrouble(null);
            try {
                const next = await take(
                    api.POST('/api/crew/shift/propose', { body: { ...at, places: change(placesOf(shown.current)), fill } }),
                );
                shown.current = next;
                setView(next);
                setChanged(true);
            } catch (e) {
                setTrouble(e as Failure);
            }
            setWaiting((n) => n - 1);
        });
    };
    const keep = useSend(
        (body: { base: string; date: string; shift: string; version: number; places: Places }, headers) =>
            take(api.POST('/api/crew/shift', { body, headers })),
        (next) => {
            setView(next);
            setChanged(false);
        },
    );
    const put = (slot: Slot, person: number | null) => {
        const why = person === null ? null : (slot.candidates.find((c) => c.person === person)?.why ?? null);
        const name = view.people.find((p) => p.id === person)?.name;
        setOpen(null);
        if (why !== null) {
            setSaid(`${name} ${why}. Nobody was moved.`);
            return;
        }
        setSaid(null);
        judge(({ [slot.id]: _, ...others }) => (person === null ? others : { ...others, [slot.id]: person }), false);
    };
    const [dragged, setDragged] = useState<number | null>(null);
    const sensors = useDragSensors();
    const drop = (slotId: string | null) => {
        const slot = view.slots.find((s) => s.id === slotId);
        if (slot && dragged !== null) {
            put(slot, dragged);
        }
        setDragged(null);
    };
    const day = (n: number) => {
        const d = new Date(`${view.date}T12:00:00Z`);
        d.setUTCDate(d.getUTCDate() + n);
        return d.toISOString().slice(0, 10);
    };
    const cards = [...new Set(view.slots.map((s) => `${s.mark}|${s.number}|${s.title}`))];
    return (
        <Page
            over={<Tabs label="Crew" tabs={crewTabs} />}
            sentence={view.sentence}
            note={`${view.base}, ${view.hours} local time${view.kept ? '' : '; no crew is kept for it yet'}${changed ? '; what you see is not saved yet' : ''}.${view.proven ? '' : ' The search ended before it could show that nothing is more even.'}`}
            actions={
                <>
                    <Button className="min-h-12" onClick={() => window.print()}>
                        Print
                    </Button>
                    {may && (
                        <>
                            {changed && (
                                <Button className="min-h-12" onClick={() => setChanged(false)}>
                                    Back to as it was
                                </Button>
                            )}
                            <Button className="min-h-12" onClick={() => judge((places) => places, true)}>
                                Fill the open places
                            </Button>
                            <Button
                                kind="main"
                                className="min-h-12"
                                disabled={keep.isPending || waiting > 0 || (!changed && view.kept) || view.slots.length === 0}
                                onClick={() => keep.mutate({ ...at, version: view.version, places: placesOf(view) })}
                            >
                                Save this crew
                            </Button>
                        </>
                    )}
                </>
            }
        >
            <div className="noprint mb-4 flex flex-wrap items-center gap-x-5 gap-y-2">
                <Choice
                    label="Base"
                    options={view.bases.map((b) => ({ value: b, name: b }))}
                    value={view.base}
                    onChange={(base) => onGo({ ...at, base })}
                />
                <span className="flex items-center gap-1">
                    <Button aria-label="The day before" onClick={() => onGo({ ...at, date: day(-1) })}>
                        ‹
                    </Button>
                    <ShiftDay key={view.date} date={view.date} onDate={(date) => onGo({ ...at, date })} />
                    <Button aria-label="The day after" onClick={() => onGo({ ...at, date: day(1) })}>
                        ›
                    </Button>
                </span>
                <Choice
                    label="Shift"
                    options={view.shifts.map((s) => ({ value: s, name: s }))}
                    value={view.shift}
                    onChange={(shift) => onGo({ ...at, shift })}
                />
            </div>
            <Trouble error={trouble ?? keep.error} />
            {said && (
                <p className="mb-3 rounded-lg border-2 border-ochre bg-ochre-wash p-3" role="alert" data-testid="said">
                    {said}
                </p>
            )}
            <DndContext
                sensors={sensors}
                onDragStart={(e) => setDragged(Number(e.active.id))}
                onDragCancel={() => setDragged(null)}
                onDragEnd={(e) => drop(e.over === null ? null : String(e.over.id))}
            >
                <div className="grid grid-cols-[minmax(0,1fr)_21rem] gap-8 max-[1050px]:grid-cols-1">
                    <div>
                        {view.slots.length === 0 && (
                            <p className="text-soft">No card is planned in this shift. Plans are made in Visits.</p>
                        )}
                        {cards.map((c) => {
                            const slots = view.slots.filter((s) => `${s.mark}|${s.number}|${s.title}` === c);
                            const first = slots[0] as Slot;
                            return (
                                <section key={c} className="mb-4" aria-label={`${first.mark} ${first.number} ${first.title}`}>
                                    <h2 className="flex items-baseline gap-2 border-b border-rule pb-1">
                                        <b className="font-mono">{first.mark}</b>
                                        <span className="min-w-0 truncate font-semibold">
                                            {first.cardId === null ? (
                                                first.title
                                            ) : (
                                                <Link to={`/floor/${first.cardId}`} className="underline-offset-4 hover:underline">
                                                    <span className="font-mono text-sm text-soft">{first.number}</span> {first.title}
                                                </Link>
                                            )}
                                        </span>
                                        <span className="ml-auto font-mono text-sm text-soft">
                                            {first.from}–{first.until}
                                        </span>
                                    </h2>
                                    {slots.map((s) => (
                                        <Place key={s.id} slot={s} view={view} may={may} onOpen={() => setOpen(s)} dragged={dragged} />
                                    ))}
                                </section>
                            );
                        })}
                    </div>
                    <People view={view} may={may} />
                </div>
                <Dragged>{dragged !== null && view.people.find((p) => p.id === dragged)?.name}</Dragged>
            </DndContext>
            {open && <Pick slot={open} view={view} onPut={(p) => put(open, p)} onClose={() => setOpen(null)} />}
        </Page>
    );
}

/** The day of the shift, typed or chosen; gone to once it is whole. */
function ShiftDay({ date, onDate }: { date: string; onDate: (date: string) => void }) {
    const [text, setText] = useState(date);
    return (
        <span className="w-44">
            <DateInput
                what="the day"
                aria-label="Day"
                value={text}
                onChange={(e) => {
                    setText(e.target.value);
                    if (whole(e.target.value)) {
                        onDate(e.target.value);
                    }
                }}
                className="h-9 rounded-lg border border-ink bg-sheet px-2 pointer-coarse:h-12"
            />
        </span>
    );
}

/** One place: who has it, or why nobody can. */
function Place({
    slot,
    view,
    may,
    dragged,
    onOpen,
}: {
    slot: Slot;
    view: Shown;
    may: boolean;
    dragged: number | null;
    onOpen: () => void;
}) {
    const { setNodeRef, isOver } = useDroppable({ id: slot.id, disabled: !may });
    // What the server said of whoever is being dragged.
    const whyNot = dragged === null ? null : (slot.candidates.find((c) => c.person === dragged)?.why ?? null);
    const person = view.people.find((p) => p.id === slot.person);
    const can = slot.candidates.filter((c) => c.why === null).length;
    // Everybody, with those of one reason together.
    const reasons = new Map<string, string[]>();
    for (const c of slot.candidates) {
        const why = c.why ?? '';
        reasons.set(why, [...(reasons.get(why) ?? []), view.people.find((p) => p.id === c.person)?.name ?? '']);
    }
    return (
        <div
            ref={setNodeRef}
            data-slot={slot.id}
            data-person={slot.person ?? ''}
            className={`grid min-h-12 grid-cols-[11rem_minmax(0,1fr)_4rem] items-center gap-3 border-b border-rule/60 px-2 ${isOver ? 'bg-shade' : ''} ${whyNot !== null && !isOver ? 'opacity-40' : ''}`}
        >
            <span className="text-sm">
                {roles[slot.role]} {slot.skill && <b>{slot.skill}</b>}
            </span>
            <button
                type="button"
                disabled={!may}
                onClick={onOpen}
                className={`min-h-10 rounded-lg border px-3 text-left ${person ? 'border-ink bg-sheet font-semibold' : can > 0 ? 'border-dashed border-slate' : 'border-2 border-rust'} disabled:opacity-100`}
            >
                {isOver && dragged !== null ? (
                    <span className={`block text-right ${whyNot === null ? 'text-spruce' : 'text-rust'}`}>
                        <Glyph state={whyNot === null ? 'clear' : 'stop'} size={13} /> {view.people.find((p) => p.id === dragged)?.name}{' '}
                        {whyNot ?? 'takes it'}
                    </span>
                ) : person ? (
                    <>
                        {person.name} <span className="font-mono text-sm font-normal text-soft">{person.stamp}</span>
                        {slot.conflict && <b className="block text-sm text-rust">{slot.conflict}</b>}
                    </>
                ) : can > 0 ? (
                    <span className="text-soft">
                        <Glyph state="waiting" size={13} /> open; {can} could take it
                    </span>
                ) : (
                    <span className="text-rust">
                        <Glyph state="stop" size={13} /> nobody can
                        <span className="block py-1 text-sm text-ink">
                            {[...reasons].map(([why, names]) => (
                                <span key={why} className="block">
                                    <b>{names.join(', ')}</b>: {why}
                                </span>
                            ))}
                        </span>
                    </span>
                )}
            </button>
            <span className="text-right font-mono text-sm text-soft">{slot.hours} h</span>
        </div>
    );
}

/** The people of the base: how full their shift is; dragged onto a place. */
function People({ view, may }: { view: Shown; may: boolean }) {
    return (
        <aside>
            <h2 className="mb-1 font-semibold">At {view.base}</h2>
            <ul className="divide-y divide-rule/60">
                {view.people.map((p) => (
                    <Draggable key={p.id} person={p} may={may}>
                        <span className="flex items-baseline justify-between gap-2">
                            <span className={p.there ? 'font-semibold' : ''}>
                                {p.name}
                                {p.trainee && ' (trainee)'}
                                <span className="ml-2 text-sm font-normal text-soft">{p.skills.join(', ')}</span>
                            </span>
                            <span className="text-sm text-soft">{p.there ? `${p.given} of ${p.hours} h` : p.said}</span>
                        </span>
                        {p.there && (
                            <span className="mt-0.5 block h-1.5 rounded-full bg-shade" aria-hidden="true">
                                <span
                                    className="block h-1.5 rounded-full bg-spruce"
                                    style={{ width: `${Math.min(100, (p.given / Math.max(p.hours, 0.1)) * 100)}%` }}
                                />
                            </span>
                        )}
                        {p.there && p.said && <span className="block text-sm text-soft">{p.said}</span>}
                        {p.conflicts.map((c) => (
                            <span key={c} className="block text-sm font-semibold text-rust">
                                <Glyph state="stop" size={12} /> {c}
                            </span>
                        ))}
                    </Draggable>
                ))}
            </ul>
        </aside>
    );
}

/** Somebody who is there, to be dragged onto a place; by keyboard one begins at the place. */
function Draggable({ person, may, children }: { person: Schemas['ShiftPerson']; may: boolean; children: ReactNode }) {
    const able = may && person.there;
    const { listeners, setNodeRef, isDragging } = useDraggable({ id: person.id, disabled: !able });
    return (
        <li
            ref={setNodeRef}
            {...(able ? listeners : {})}
            data-draggable={able}
            data-person={person.name}
            className={`touch-manipulation py-1.5 select-none ${person.there ? 'cursor-grab' : 'text-soft'} ${isDragging ? 'opacity-40' : ''}`}
        >
            {children}
        </li>
    );
}

/** Who could take a place, and why each other cannot. */
function Pick({ slot, view, onPut, onClose }: { slot: Slot; view: Shown; onPut: (person: number | null) => void; onClose: () => void }) {
    const sorted = [...slot.candidates].sort((a, b) => Number(a.why !== null) - Number(b.why !== null));
    const of = (id: number) => view.people.find((p) => p.id === id);
    return (
        <Dialog
            open
            onClose={onClose}
            title={`${slot.mark} ${slot.number} ${slot.title}: who ${roles[slot.role]}${slot.skill ? ` ${slot.skill}` : ''}`}
        >
            <ul className="divide-y divide-rule">
                {slot.person !== null && (
                    <li className="py-1">
                        <Button className="min-h-12 w-full" onClick={() => onPut(null)}>
                            Leave it open
                        </Button>
                    </li>
                )}
                {sorted.map((c) => {
                    const p = of(c.person);
                    return (
                        <li key={c.person} className="py-1">
                            <button
                                type="button"
                                disabled={c.why !== null}
                                onClick={() => onPut(c.person)}
                                className="flex min-h-12 w-full items-center justify-between gap-3 rounded-lg px-3 text-left enabled:hover:bg-sheet"
                            >
                                <span className={c.why === null ? 'font-semibold' : 'text-soft'}>{p?.name}</span>
                                <span className="text-sm text-soft">
                                    {c.why ??
                                        (c.person === slot.person ? (
                                            <State state="clear" word="has it" />
                                        ) : (
                                            `${p?.given ?? 0} of ${p?.hours ?? 0} h given`
                                        ))}
                                </span>
                            </button>
                        </li>
                    );
                })}
            </ul>
        </Dialog>
    );
}
