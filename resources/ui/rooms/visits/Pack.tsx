import { DndContext } from '@dnd-kit/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useMe, usePack, useSend } from '../../api/hooks';
import { useInTurn } from '../../api/useInTurn';
import { Button } from '../../parts/Button';
import { Dragged, DropSection, useDragSensors } from '../../parts/drag';
import { Page, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice, Tabs } from '../../parts/Tabs';
import { PackChosen } from './PackChosen';
import { Chips, type Into, into } from './PackParts';
import { PackSlot } from './PackSlot';
import { visitsViews } from './views';

const NOWHERE = 'in no visit';

export type Line = Schemas['PackLine'];
export type Slot = Schemas['PackSlot'];

/** Which due items go into which visit: proposed, moved by hand, and saved only when nothing is overdue or too much. */
export function Pack() {
    const [search, setSearch] = useSearchParams();
    const mark = search.get('mark') ?? undefined;
    const days = Number(search.get('days') ?? 90);
    const skip = search.get('skip') ?? '';
    const set = (key: string, value: string) => {
        const next = new URLSearchParams(search);
        value === '' ? next.delete(key) : next.set(key, value);
        setSearch(next, { replace: true });
    };
    return (
        <Wait query={usePack({ mark, days, skip })}>
            {(pack) => (
                <PackOf key={`${pack.mark}/${days}/${skip}`} proposal={pack} days={days} skip={skip} set={set} />
            )}
        </Wait>
    );
}

function PackOf({
    proposal,
    days,
    skip,
    set,
}: {
    proposal: Schemas['PackView'];
    days: number;
    skip: string;
    set: (key: string, value: string) => void;
}) {
    const navigate = useNavigate();
    const may = (useMe().data?.may ?? []).includes('plan');
    const [laid, setLaid] = useState<Schemas['PackView'] | null>(null);
    const [chosen, setChosen] = useState<string | null>(null);
    const pack = laid ?? proposal;
    const previews = useInTurn(pack, setLaid);
    const save = useSend(
        (into: Into, headers) => take(api.POST('/api/pack/save', { body: { mark: pack.mark, days, into }, headers })),
        (ids) => void navigate(ids.length === 1 ? `/visits/${ids[0]}` : '/visits'),
    );
    const move = (key: string, slot: string | null) =>
        previews.ask((of) => {
            const { [key]: _, ...others } = into(of);
            const laid = slot === null ? others : { ...others, [key]: slot };
            return take(api.POST('/api/pack', { body: { mark: of.mark, days, into: laid } }));
        });
    const skipped = skip.split(',').filter(Boolean);
    const line = pack.items.find((l) => l.key === chosen);
    const sensors = useDragSensors();
    const [dragged, setDragged] = useState<string | null>(null);
    const drop = (to: string | null) => {
        if (to !== null && dragged !== null) {
            move(dragged, to === NOWHERE ? null : to);
        }
        setDragged(null);
    };
    const items = (slot: string | null) => pack.items.filter((l) => (l.slot ?? null) === slot);
    const chips = (lines: Line[]) => <Chips lines={lines} may={may} chosen={chosen} onChoose={setChosen} />;
    const propose = (id: string, on: boolean) =>
        set('skip', (on ? skipped.filter((x) => x !== id) : [...skipped, id]).join(','));
    return (
        <Page
            over={<Tabs label="Visits" tabs={visitsViews} />}
            sentence={
                <>
                    <State state={pack.verdict} word="" /> {pack.sentence}
                </>
            }
            note={
                pack.items.length > 0 &&
                (!pack.proposed
                    ? 'Laid by hand.'
                    : pack.proven
                      ? 'Proven best.'
                      : 'Best found in the time; there may be a better one.')
            }
            actions={
                may && (
                    <>
                        {laid && <Button onClick={() => setLaid(null)}>Back to the proposal</Button>}
                        <Button
                            kind="main"
                            disabled={!pack.maySave || save.isPending || previews.waiting}
                            onClick={() => save.mutate(into(pack))}
                        >
                            Save the visits
                        </Button>
                    </>
                )
            }
        >
            <div className="noprint mb-4 flex flex-wrap items-center gap-4">
                <label className="flex items-center gap-2">
                    Aircraft
                    <select
                        className="min-h-9 rounded-lg border border-rule bg-sheet px-2 font-mono"
                        value={pack.mark}
                        onChange={(e) => set('mark', e.target.value)}
                    >
                        {pack.aircraft.map((a) => (
                            <option key={a.mark} value={a.mark}>
                                {a.mark} {a.type} {a.base}
                            </option>
                        ))}
                    </select>
                </label>
                <Choice
                    label="How far ahead"
                    value={days}
                    onChange={(d) => set('days', String(d))}
                    options={[
                        { value: 45, name: '45 days' },
                        { value: 90, name: '90 days' },
                        { value: 180, name: '180 days' },
                    ]}
                />
                {previews.waiting && (
                    <span role="status" className="text-soft">
                        Working it out…
                    </span>
                )}
            </div>
            <Trouble error={save.error ?? previews.error} />
            {line && <PackChosen line={line} slots={pack.slots} may={may} onMove={(slot) => move(line.key, slot)} />}
            {pack.items.length === 0 && pack.slots.length === 0 ? (
                <p className="text-soft">Look further ahead, or open a free slot under Bays.</p>
            ) : (
                <DndContext
                    sensors={sensors}
                    onDragStart={(e) => {
                        setDragged(String(e.active.id));
                        setChosen(String(e.active.id));
                    }}
                    onDragCancel={() => setDragged(null)}
                    onDragEnd={(e) => drop(e.over === null ? null : String(e.over.id))}
                >
                    <div className="grid grid-cols-[17rem_minmax(0,1fr)] items-start gap-6">
                        <DropSection
                            id={NOWHERE}
                            className="rounded-lg border-2 border-dashed border-rule p-3"
                            aria-label="In no visit"
                        >
                            <h2 className="mb-2 font-semibold">In no visit ({items(null).length})</h2>
                            {chips(items(null))}
                            {items(null).length === 0 && <p className="text-soft">Everything has its visit.</p>}
                        </DropSection>
                        <div className="space-y-3">
                            {pack.slots.length === 0 && (
                                <p className="text-soft">
                                    No visit is planned and no bay is free in this time. Open a free slot under Bays.
                                </p>
                            )}
                            {pack.slots.map((s) => (
                                <PackSlot
                                    key={s.id}
                                    slot={s}
                                    lines={items(s.id)}
                                    propose={
                                        may &&
                                        s.kind === 'free' && {
                                            on: !skipped.includes(s.id),
                                            onChange: (on) => propose(s.id, on),
                                        }
                                    }
                                    chips={chips(items(s.id))}
                                />
                            ))}
                        </div>
                    </div>
                    <Dragged>{dragged !== null && pack.items.find((l) => l.key === dragged)?.title}</Dragged>
                </DndContext>
            )}
        </Page>
    );
}
