import { DndContext } from '@dnd-kit/core';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, take } from '../../api/client';
import { useSend, useShift } from '../../api/hooks';
import { touches } from '../../api/keys';
import { useInTurn } from '../../api/useInTurn';
import { Button } from '../../parts/Button';
import { Dragged, useDragSensors } from '../../parts/drag';
import { Page, Trouble, Wait } from '../../parts/Page';
import { Choice, Tabs } from '../../parts/Tabs';
import { type Places, placesOf, type Shown, type Slot } from './places';
import { ShiftDay } from './ShiftDay';
import { People } from './ShiftPeople';
import { Pick } from './ShiftPick';
import { Work } from './ShiftWork';
import { crewTabs } from './tabs';

/** A shift: its places, who takes which, and why nobody can take those that stay open. */
export function Shift() {
    const [query, setQuery] = useSearchParams();
    const ask = {
        base: query.get('base') ?? undefined,
        date: query.get('date') ?? undefined,
        shift: query.get('shift') ?? undefined,
    };
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
    const at = { base: view.base, date: view.date, shift: view.shift };
    const may = view.may.includes('rota');
    // What the server holds is shown as long as nothing was moved here.
    useEffect(() => {
        if (!changed) {
            setView(kept);
        }
    }, [kept, changed]);
    const previews = useInTurn(view, (next) => {
        setView(next);
        setChanged(true);
    });
    const judge = (change: (places: Places) => Places, fill: boolean) =>
        previews.ask((of) =>
            take(api.POST('/api/crew/shift/propose', { body: { ...at, places: change(placesOf(of)), fill } })),
        );
    const save = useSend(
        (body: { base: string; date: string; shift: string; version: number; places: Places }, headers) =>
            take(api.POST('/api/crew/shift', { body, headers })),
        (next) => {
            setView(next);
            setChanged(false);
        },
        { affects: touches.people },
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
    return (
        <Page
            over={<Tabs label="Crew" tabs={crewTabs} />}
            sentence={view.sentence}
            note={[
                `${view.base}, ${view.hours} local time`,
                view.saved ? '' : '; no crew is saved for it yet',
                changed ? '; what you see is not saved yet.' : '.',
                view.proven ? '' : ' The search ended before it could show that nothing is more even.',
            ].join('')}
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
                                disabled={
                                    save.isPending ||
                                    previews.waiting ||
                                    (!changed && view.saved) ||
                                    view.slots.length === 0
                                }
                                onClick={() => save.mutate({ ...at, version: view.version, places: placesOf(view) })}
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
            <Trouble error={previews.error ?? save.error} />
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
                        <Work view={view} may={may} dragged={dragged} onOpen={setOpen} />
                    </div>
                    <People view={view} may={may} />
                </div>
                <Dragged>{dragged !== null && view.people.find((p) => p.id === dragged)?.name}</Dragged>
            </DndContext>
            {open && <Pick slot={open} view={view} onPut={(p) => put(open, p)} onClose={() => setOpen(null)} />}
        </Page>
    );
}
