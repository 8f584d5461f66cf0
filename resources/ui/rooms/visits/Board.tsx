import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, type Schemas, take } from '../../api/client';
import { useBoard, useLook, useMe, useSend } from '../../api/hooks';
import { keys } from '../../api/keys';
import { Button } from '../../parts/Button';
import { Section, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Choice } from '../../parts/Tabs';
import { BoardDetails } from './BoardDetails';
import { BoardDrawing } from './BoardDrawing';
import { BoardList, useBoardFilter } from './BoardList';
import { Printed } from './BoardPrinted';
import { PlanSearch } from './PlanSearch';
import { VisitPage } from './VisitPage';

type Move = { card: number; slot: number | null; version: number; save: boolean; tighten?: boolean };

/** When each card of a visit is worked; a card that is moved shows what it moves before it is kept. */
export function Board() {
    const id = Number(useParams().id);
    return <Wait query={useBoard(id)}>{(board) => <BoardOf saved={board} />}</Wait>;
}

function BoardOf({ saved }: { saved: Schemas['BoardView'] }) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const [zoom, setZoom] = useState(8);
    const [chosen, setChosen] = useState<number | null>(null);
    const [shown, setShown] = useState<{ board: Schemas['BoardView']; move: Move } | null>(null);
    const ask = (body: Move) =>
        take(api.POST('/api/visits/{id}/board/move', { params: { path: { id: saved.id } }, body }));
    const look = useLook(ask, () => setShown(null));
    const send = useSend(ask, undefined, { failed: () => setShown(null) });
    const move = (card: Schemas['BoardCard'] | { id: number }, slot: number | null) => {
        const body = { card: card.id, slot, version: saved.version, save: false };
        setChosen(card.id);
        look.mutate(body, { onSuccess: (board) => setShown({ board, move: body }) });
    };
    const tighten = () => {
        if (shown) {
            const body = { ...shown.move, tighten: true };
            look.mutate(body, { onSuccess: (board) => setShown({ board, move: body }) });
        }
    };
    const client = useQueryClient();
    const save = () =>
        shown &&
        send.mutate(
            { ...shown.move, save: true },
            {
                onSuccess: (board) => {
                    // The next move rests on what was just saved.
                    client.setQueryData(keys.board(saved.id), board);
                    setShown(null);
                },
            },
        );
    const board = shown?.board ?? saved;
    const cards = board.zones.flatMap((z) => z.cards);
    const card = cards.find((c) => c.id === chosen);
    const filter = useBoardFilter(cards);
    return (
        <VisitPage visit={saved} place={saved.bay} verdict={board.verdict} sentence={board.sentence} note={board.note}>
            <div className="noprint mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
                <Choice
                    label="How much of it is shown"
                    value={zoom}
                    onChange={setZoom}
                    options={[
                        { value: 0, name: 'Whole visit' },
                        { value: 8, name: 'Days' },
                        { value: 20, name: 'Hours' },
                    ]}
                />
                <span className="flex-1" />
                {may && <PlanSearch visit={saved.id} version={saved.version} run={saved.run} />}
                <a className="underline underline-offset-4" href={`/api/visits/${saved.id}/plan.csv`}>
                    CSV
                </a>
                <a className="underline underline-offset-4" href={`/api/visits/${saved.id}/plan.ics`}>
                    Calendar
                </a>
                <button type="button" className="underline underline-offset-4" onClick={() => window.print()}>
                    Print
                </button>
            </div>
            <Trouble error={look.error ?? send.error} />
            {shown && (
                <div
                    role="status"
                    className="sticky top-0 z-10 mb-3 rounded-lg border-2 border-ink bg-sheet px-4 py-3"
                    data-testid="effect"
                >
                    <div className="flex items-start justify-between gap-6">
                        <p className="text-[1.05rem]">
                            <b>{shown.board.effect}</b>{' '}
                            {shown.board.moved.length === 0
                                ? 'Nothing moves.'
                                : shown.board.moved.length === 1
                                  ? 'One card moves.'
                                  : `${shown.board.moved.length} cards move.`}{' '}
                            Nothing is saved yet.
                        </p>
                        <span className="flex shrink-0 gap-2">
                            <Button onClick={() => setShown(null)}>Restore</Button>
                            {shown.board.sooner > 0 && (
                                <Button disabled={look.isPending} onClick={tighten}>
                                    Close up: leaves {shown.board.sooner} h sooner
                                </Button>
                            )}
                            <Button kind="main" disabled={send.isPending || look.isPending} onClick={save}>
                                Save it
                            </Button>
                        </span>
                    </div>
                    <ul className="mt-2 max-h-24 columns-2 overflow-auto text-sm">
                        {shown.board.moved.map((m) => (
                            <li key={m.id}>
                                <span className="font-mono text-soft">{m.number}</span> {m.title}: {m.words}
                            </li>
                        ))}
                    </ul>
                </div>
            )}
            {cards.length === 0 ? (
                <p className="text-soft">{board.problem ?? 'No card is planned yet.'}</p>
            ) : (
                <div className="noprint grid grid-cols-[minmax(0,1fr)] gap-4 xl:grid-cols-[minmax(0,1fr)_20rem]">
                    <BoardDrawing
                        board={board}
                        wide={zoom}
                        chosen={chosen}
                        moved={new Set(shown?.board.moved.map((m) => m.id) ?? [])}
                        dimmed={filter.dimmed}
                        may={may}
                        onChoose={setChosen}
                        onDrop={move}
                    />
                    <BoardList cards={cards} filter={filter} chosen={chosen} onChoose={setChosen} />
                </div>
            )}
            <Printed cards={cards} />
            <p className="noprint mt-2 text-sm text-soft">
                Arrow-ended cards are critical: a delay delays the aircraft. A heavy left edge is in work, filled is
                worked, a notched mark lacks something or is late.
                {may && ' Drag a card, or move it with the arrow keys (with Shift four hours).'}
            </p>
            {card && (
                <BoardDetails
                    visit={saved.id}
                    card={card}
                    cards={cards}
                    may={may}
                    onMove={(slot) => move(card, slot)}
                    onChoose={setChosen}
                />
            )}
            {board.shortages.length > 0 && (
                <Section
                    title={
                        board.shortages.length === 1
                            ? 'One card will lack something'
                            : `${board.shortages.length} cards will lack something`
                    }
                >
                    <ul className="columns-1 gap-8 text-[0.95rem] lg:columns-2">
                        {board.shortages.map((s) => (
                            <li key={s} className="mb-1.5 break-inside-avoid">
                                <State state="watch" word="" /> {s}
                            </li>
                        ))}
                    </ul>
                </Section>
            )}
        </VisitPage>
    );
}
