import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, take } from '../../../api/client';
import { useMe, useSeasonKept, useSend } from '../../../api/hooks';
import { Button } from '../../../parts/Button';
import { Page, Trouble, Wait } from '../../../parts/Page';
import { State } from '../../../parts/State';
import { Choice, Tabs } from '../../../parts/Tabs';
import { visitsViews } from '../views';
import { laidOf, lengthen, move, pin, type Season as SeasonData } from './laid';
import { SeasonBeside } from './SeasonBeside';
import { SeasonChosen } from './SeasonChosen';
import { SeasonDrawing } from './SeasonDrawing';
import { SeasonForms } from './SeasonForms';
import { SeasonNeeds } from './SeasonNeeds';
import { SeasonOut } from './SeasonOut';
import { SeasonPropose } from './SeasonPropose';
import { useSeason } from './useSeason';

/** The whole fleet's visits planned as one: proposed, laid by hand, judged at every change, and kept when it holds. */
export function Season() {
    const [search, setSearch] = useSearchParams();
    const days = Number(search.get('days') ?? 90);
    const [said, setSaid] = useState<string | null>(null);
    return (
        <Wait query={useSeasonKept(days)}>
            {(kept) => (
                <SeasonOf
                    key={`${days}/${kept.from}/${kept.visits.map((v) => `${v.id}${v.start}${v.end}${v.bay}`).join()}`}
                    kept={kept}
                    days={days}
                    said={said}
                    onKept={setSaid}
                    onDays={(d) => setSearch({ days: String(d) }, { replace: true })}
                />
            )}
        </Wait>
    );
}

interface Props {
    kept: SeasonData;
    days: number;
    said: string | null;
    onKept: (said: string) => void;
    onDays: (days: number) => void;
}

function SeasonOf({ kept, days, said, onKept, onDays }: Props) {
    const may = (useMe().data?.may ?? []).includes('plan');
    const hands = useSeason(kept, days);
    const { season, lay } = hands;
    const [reading, setReading] = useState<'aircraft' | 'bays'>('aircraft');
    const [chosen, setChosen] = useState<string | null>(null);
    const keep = useSend(
        (visits: ReturnType<typeof laidOf>, headers) =>
            take(api.POST('/api/season/keep', { body: { days, visits }, headers })),
        (out) => {
            hands.done();
            onKept(out.sentence);
        },
    );
    const block = season.visits.find((v) => v.id === chosen);
    const keys = (e: React.KeyboardEvent) => {
        if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === 'z') {
            e.preventDefault();
            (e.shiftKey ? hands.redo : hands.undo)?.();
        }
    };
    return (
        // biome-ignore lint/a11y/noStaticElementInteractions: undo by keyboard from anywhere on the page
        <div className="flex min-w-0 flex-1" onKeyDown={keys}>
            <Page
                over={<Tabs label="Visits" tabs={visitsViews} />}
                sentence={
                    <>
                        <State state={season.verdict} word="" /> {season.sentence}
                    </>
                }
                note={said}
                actions={
                    may && (
                        <>
                            <Button disabled={!hands.undo || hands.waiting} onClick={() => hands.undo?.()}>
                                Undo
                            </Button>
                            <Button disabled={!hands.redo || hands.waiting} onClick={() => hands.redo?.()}>
                                Redo
                            </Button>
                            <Button
                                kind="main"
                                title={season.why ?? undefined}
                                disabled={!season.mayKeep || keep.isPending || hands.waiting}
                                onClick={() => keep.mutate(laidOf(season))}
                            >
                                {keep.isPending ? 'Keeping…' : 'Keep this season'}
                            </Button>
                        </>
                    )
                }
            >
                <Figures season={season} />
                <div className="noprint mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
                    <Choice
                        label="Rows"
                        value={reading}
                        onChange={setReading}
                        options={[
                            { value: 'aircraft', name: 'By aircraft' },
                            { value: 'bays', name: 'By bay' },
                        ]}
                    />
                    <Choice
                        label="How far ahead"
                        value={days}
                        onChange={onDays}
                        options={[30, 90, 180].map((d) => ({ value: d, name: `${d} days` }))}
                    />
                    {may && <SeasonForms season={season} hands={hands} onMade={setChosen} />}
                    <span className="h-0 basis-full" />
                    {may && <SeasonPropose season={season} days={days} onTake={(visits) => lay(() => visits)} />}
                    {may && season.mends && (
                        <Button kind="main" disabled={hands.waiting} onClick={hands.mend}>
                            Mend with the least change
                        </Button>
                    )}
                    {hands.waiting && (
                        <span role="status" className="text-soft">
                            Working it out…
                        </span>
                    )}
                </div>
                <Trouble error={keep.error ?? hands.error} />
                <Told title="Moved by the least change" state="watch" lines={season.moved} />
                <SeasonBeside hands={hands} />
                <SeasonDrawing
                    season={season}
                    reading={reading}
                    chosen={chosen}
                    may={may}
                    onChoose={setChosen}
                    onMove={(id, by, bay) => lay((laid) => move(laid, id, by, bay))}
                    onLengthen={(id, by) => lay((laid) => lengthen(laid, id, by))}
                    onPin={(id) => lay((laid) => pin(laid, id))}
                />
                <p className="mt-2 mb-4 text-sm text-soft">
                    Outlined is kept, dashed is new or moved, a bar at the foot is in work, a dot stays where it is.
                    Arrow keys move a visit by a day, with Shift they make it longer; P pins it. Small dots are planned
                    flights.
                </p>
                {block && (
                    <SeasonChosen
                        key={block.id}
                        block={block}
                        season={season}
                        may={may}
                        lay={lay}
                        onClose={() => setChosen(null)}
                    />
                )}
                <Told title="Days short of people" state="watch" lines={season.short} />
                <SeasonOut days={days} from={season.from} />
                <SeasonNeeds season={season} may={may} lay={lay} />
            </Page>
        </div>
    );
}

function Figures({ season }: { season: SeasonData }) {
    return (
        <ul className="mb-4 flex flex-wrap gap-x-7 gap-y-2" data-testid="figures">
            {season.figures.map((f) => (
                <li key={f.name} className="leading-tight">
                    <b
                        className={`block text-[1.35rem] ${f.state === 'stop' ? 'text-rust' : f.state === 'watch' ? 'text-ochre' : ''}`}
                    >
                        {f.value}
                    </b>
                    <span className="text-sm text-soft">{f.name}</span>
                </li>
            ))}
        </ul>
    );
}

function Told({ title, state, lines }: { title: string; state: string; lines: string[] }) {
    return lines.length === 0 ? null : (
        <details className="mb-3 rounded-lg border border-rule px-3 py-2" open={lines.length < 8}>
            <summary className="cursor-pointer font-semibold">
                <State state={state} word={`${title} (${lines.length})`} />
            </summary>
            <ul className="mt-1 list-disc pl-6">
                {lines.map((l) => (
                    <li key={l}>{l}</li>
                ))}
            </ul>
        </details>
    );
}
