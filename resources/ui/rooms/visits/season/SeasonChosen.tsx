import { useState } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../parts/Button';
import { short } from '../../../parts/dates';
import { Pick } from '../../../parts/Pick';
import { State } from '../../../parts/State';
import { toggled } from '../../../parts/toggled';
import { type Block, drop, type Laid, merge, type Season, split, swapBays, takeOut } from './laid';
import { NeedLine } from './NeedLine';
import { SeasonPlace } from './SeasonPlace';

export interface Chosen {
    block: Block;
    season: Season;
    lay: (by: (laid: Laid[]) => Laid[]) => void;
}

/** The visit that is chosen: why it does not hold, its days and bay, what is in it, and what can be made of it. */
export function SeasonChosen({ block, season, may, lay, onClose }: Chosen & { may: boolean; onClose: () => void }) {
    const hand = may && !block.stands;
    return (
        <section
            className="noprint sticky bottom-2 z-20 mb-4 max-h-[46vh] overflow-auto rounded-lg border-2 border-ink bg-sheet px-4 py-3"
            aria-label={`${block.mark} ${block.title}`}
            data-testid="chosen"
        >
            <div className="flex items-start justify-between gap-4">
                <h2 className="text-[1.15rem] leading-tight font-semibold">
                    <State state={block.state} word="" /> <span className="font-mono">{block.mark}</span>{' '}
                    {block.visit === null ? (
                        block.title
                    ) : (
                        <Link className="underline underline-offset-4" to={`/visits/${block.visit}`}>
                            {block.title}
                        </Link>
                    )}
                    <span className="block text-base font-normal text-soft">
                        {short(block.start)} to {short(block.end)}, {block.hours} h of work,{' '}
                        {block.free >= 0 ? `${block.free} h free` : `${-block.free} h too few`}
                        {block.stands ? ', in work: it stays where it is' : block.visit === null ? ', new' : ', kept'}
                    </span>
                </h2>
                <Button kind="quiet" onClick={onClose}>
                    Close
                </Button>
            </div>
            {[...block.problems.map((p) => ['stop', p]), ...block.notes.map((n) => ['watch', n])].map(
                ([state, line]) => (
                    <p key={line} className="mt-1">
                        <State state={String(state)} word="" /> {line}
                    </p>
                ),
            )}
            {hand && <SeasonPlace block={block} season={season} lay={lay} />}
            <Inside block={block} hand={hand} lay={lay} />
            {hand && <With block={block} season={season} lay={lay} onGone={onClose} />}
        </section>
    );
}

function Inside({ block, hand, lay }: Omit<Chosen, 'season'> & { hand: boolean }) {
    const [picked, setPicked] = useState<string[]>([]);
    const inside = block.items.filter((i) => picked.includes(i.id));
    const apart = () => {
        const first = inside[0];
        if (first) {
            lay((laid) => split(laid, block.id, picked, first.title));
            setPicked([]);
        }
    };
    return (
        <>
            <ul className="mt-3 grid gap-x-8 lg:grid-cols-2">
                {block.items.map((i) => (
                    <NeedLine
                        key={i.id}
                        need={i}
                        picked={picked.includes(i.id)}
                        onPick={hand ? () => setPicked(toggled(picked, i.id)) : null}
                        after={`${i.hours} h, ${i.lost}`}
                    />
                ))}
            </ul>
            {block.items.length === 0 && <p className="mt-2 text-soft">Nothing of this season is in it.</p>}
            {hand && picked.length > 0 && (
                <div className="mt-2 flex gap-2">
                    <Button
                        onClick={() => {
                            lay((laid) => takeOut(laid, picked));
                            setPicked([]);
                        }}
                    >
                        Take {picked.length} out
                    </Button>
                    <Button disabled={picked.length === block.items.length} onClick={apart}>
                        Split {picked.length} off
                    </Button>
                </div>
            )}
        </>
    );
}

function With({ block, season, lay, onGone }: Chosen & { onGone: () => void }) {
    const [other, setOther] = useState('');
    const others = season.visits.filter((v) => v.id !== block.id && !v.stands);
    const same = others.filter((v) => v.mark === block.mark);
    const near = others.filter((v) => v.mark !== block.mark && v.from <= block.to && block.from <= v.to);
    const options = [...same, ...near].map((v): [string, string] => [v.id, `${v.mark} ${short(v.start)}, ${v.title}`]);
    const chosen = options.some(([v]) => v === other) ? other : (options[0]?.[0] ?? '');
    const merges = same.some((v) => v.id === chosen);
    return (
        <div className="mt-3 flex flex-wrap items-end gap-3">
            {options.length > 0 && (
                <>
                    <div className="w-96">
                        <Pick
                            small
                            name="other"
                            label="With another visit"
                            value={chosen}
                            options={options}
                            onChange={setOther}
                        />
                    </div>
                    <Button
                        disabled={!merges || (block.visit !== null && block.own > 0)}
                        onClick={() => lay((l) => merge(l, block.id, chosen))}
                    >
                        Merge into it
                    </Button>
                    <Button onClick={() => lay((l) => swapBays(l, block.id, chosen))}>Swap bays</Button>
                </>
            )}
            {(block.visit === null || block.own === 0) && !block.gone && (
                <Button
                    kind="quiet"
                    onClick={() => {
                        lay((l) => drop(l, block.id));
                        onGone();
                    }}
                >
                    Give it up
                </Button>
            )}
        </div>
    );
}
