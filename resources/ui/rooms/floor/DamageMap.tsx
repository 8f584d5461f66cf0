import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useDamage } from '../../api/hooks';
import { useLook, useWaiting } from '../../api/useQueue';
import { Button } from '../../parts/Button';
import { type Dot, Drawing, type Outline, type View } from '../../parts/Drawing';
import { Page, Trouble, Wait } from '../../parts/Page';
import { State } from '../../parts/State';
import { Tabs } from '../../parts/Tabs';
import { type DamageRow, LookAgain, NewDamage, Settle, type Spot } from './DamageForms';
import { floorTabs } from './tabs';

/** Every damage that is known on an aircraft, on its drawing and in numbers; from a card new ones are entered. */
export function DamageMap() {
    const { mark = '' } = useParams();
    const card = Number(useSearchParams()[0].get('card') ?? 0) || null;
    const [spot, setSpot] = useState<Spot | null>(null);
    const [asking, setAsking] = useState<{ what: 'look' | 'settle'; of: DamageRow } | null>(null);
    const [entering, setEntering] = useState(false);
    return (
        <Wait query={useDamage(mark, card)}>
            {(map) => {
                const open = map.damages.filter((d) => d.open);
                const may = map.may && card !== null;
                return (
                    <Page over={<Tabs label="Floor" tabs={floorTabs} />} sentence={map.sentence}>
                        {map.drawing && (
                            <Drawing
                                outline={map.drawing.outline as Outline}
                                dots={open.map((d) => dot(d))}
                                spot={spot}
                                onPick={may ? setSpot : undefined}
                            />
                        )}
                        {may && (
                            <p className="noprint mt-2 flex flex-wrap items-center gap-3">
                                {spot === null ? (
                                    <span className="text-soft">
                                        Touch the drawing where something is that is not on it yet.
                                    </span>
                                ) : (
                                    <>
                                        <Button kind="main" className="min-h-12" onClick={() => setEntering(true)}>
                                            Enter a damage there
                                        </Button>
                                        <Button className="min-h-12" onClick={() => setSpot(null)}>
                                            Leave it
                                        </Button>
                                    </>
                                )}
                            </p>
                        )}
                        {map.may && card === null && (
                            <p className="noprint mt-2 text-soft">
                                A new damage is entered from the card at which it is found.
                            </p>
                        )}
                        <ul className="mt-4 divide-y divide-rule border-y border-rule">
                            {map.damages.map((d) => (
                                <One
                                    key={d.id}
                                    damage={d}
                                    card={card}
                                    may={map.may}
                                    onAsk={(what) => setAsking({ what, of: d })}
                                />
                            ))}
                        </ul>
                        {entering && spot && card !== null && (
                            <NewDamage
                                mark={mark}
                                card={card}
                                spot={spot}
                                kinds={map.kinds}
                                onClose={(done) => {
                                    setEntering(false);
                                    if (done) {
                                        setSpot(null);
                                    }
                                }}
                            />
                        )}
                        {asking?.what === 'look' && (
                            <LookAgain mark={mark} damage={asking.of} card={card} onClose={() => setAsking(null)} />
                        )}
                        {asking?.what === 'settle' && (
                            <Settle mark={mark} damage={asking.of} onClose={() => setAsking(null)} />
                        )}
                    </Page>
                );
            }}
        </Wait>
    );
}

const dot = (d: DamageRow): Dot => {
    const at = d.spot as { view: View; x: number; y: number };
    return { id: d.id, no: String(Number(d.number.slice(1))), name: `${d.kind}, ${d.place}`, state: d.state, ...at };
};

function One({
    damage: d,
    card,
    may,
    onAsk,
}: {
    damage: DamageRow;
    card: number | null;
    may: boolean;
    onAsk: (what: 'look' | 'settle') => void;
}) {
    const same = useLook(d, card);
    const kept = useWaiting().some((w) => w.what === 'look' && w.damage === d.id && w.refused === null);
    return (
        <li className="grid grid-cols-[5.5rem_minmax(0,1fr)_auto] gap-4 py-3" data-damage={d.number}>
            <b className="font-mono text-[1.05rem]">{d.number}</b>
            <div>
                <p>
                    <State state={d.state} word={d.word} />{' '}
                    <b className="font-semibold">
                        {d.kind}, {d.place}
                    </b>
                    : {d.size}
                </p>
                <p className="text-soft">
                    {d.allowed}
                    {d.finding !== null && (
                        <>
                            {' '}
                            <Link className="underline underline-offset-4" to={`/floor/findings/${d.findingId}`}>
                                {d.finding}
                            </Link>
                        </>
                    )}
                </p>
                {d.growth !== null && <p>{d.growth}</p>}
                <Trouble error={same.error} />
                {d.again !== null && (
                    <p>
                        Looked at again by <b>{d.again}</b>
                    </p>
                )}
                <details className="text-sm text-soft">
                    <summary className="min-h-9 cursor-pointer py-1 underline underline-offset-4">
                        {d.looks.length === 1 ? 'one look' : `${d.looks.length} looks`}
                    </summary>
                    <ol>
                        {d.looks.map((l) => (
                            <li key={l}>{l}</li>
                        ))}
                    </ol>
                </details>
            </div>
            {may && d.open && (
                <div className="noprint flex items-start gap-2">
                    {card !== null && d.here && (
                        <span className="flex min-h-12 items-center">
                            <State state="clear" word="looked at from here" />
                        </span>
                    )}
                    {kept && (
                        <span className="flex min-h-12 items-center">
                            <State state="waiting" word="kept on this device" />
                        </span>
                    )}
                    {card !== null && !d.here && !kept && (
                        <Button
                            kind="main"
                            className="min-h-12"
                            disabled={same.isPending}
                            onClick={() => same.mutate(null)}
                        >
                            As it was
                        </Button>
                    )}
                    <Button className="min-h-12" onClick={() => onAsk('look')}>
                        Look again …
                    </Button>
                    <Button className="min-h-12" onClick={() => onAsk('settle')}>
                        Repaired …
                    </Button>
                </div>
            )}
        </li>
    );
}
