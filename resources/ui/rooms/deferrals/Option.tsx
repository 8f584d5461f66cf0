import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { State } from '../../parts/State';
import { ClockDrawing } from './ClockDrawing';

/**
 * A listed item beside a finding: it covers it, with its clock and what it forbids; or it does not, with the reason.
 */
export function Option({
    option: o,
    may,
    onChoose,
}: {
    option: Schemas['OptionView'];
    may: boolean;
    onChoose: () => void;
}) {
    return (
        <li className="grid grid-cols-[6.5rem_minmax(0,1fr)_auto] gap-4 py-4" data-option={o.code}>
            <State state={o.fits ? 'clear' : 'stop'} word={o.fits ? 'covers it' : 'does not'} />
            <div className="min-w-0">
                <p>
                    <span className="font-mono text-sm text-soft">{o.code}</span> <b>{o.title}</b>, category{' '}
                    {o.category}
                </p>
                {!o.fits && <p className="text-soft">{o.why.charAt(0).toUpperCase() + o.why.slice(1)}.</p>}
                {(o.fits || o.overrule) && (
                    <>
                        <p className="mt-1">{o.said}.</p>
                        <ClockDrawing drivers={o.drivers} label={`Clock of ${o.code}: ${o.said}`} />
                        <ul className="mt-1 list-disc pl-5 text-sm">
                            {o.conditions && <li>{o.conditions}</li>}
                            {o.limits.map((l) => (
                                <li key={l}>{l}</li>
                            ))}
                            {o.crew && <li>Crew: {o.crew}</li>}
                            <li>
                                {o.safe
                                    ? `Made safe by card ${o.safe}; carried from when it is signed.`
                                    : 'Nothing to be done but the placard.'}{' '}
                                Placard <span className="font-mono">{o.placard}</span>.
                            </li>
                        </ul>
                        <Against lines={o.forbids} says="With what is carried, no flight could be flown:" />
                        <Against lines={o.grounds} says="Planned flights that could no longer be flown:" />
                    </>
                )}
            </div>
            {may && (o.fits || o.overrule) && (
                <div>
                    <Button kind={o.fits ? 'main' : 'plain'} onClick={onChoose}>
                        Defer under {o.code}
                    </Button>
                </div>
            )}
        </li>
    );
}

function Against({ lines, says }: { lines: string[]; says: string }) {
    return (
        lines.length > 0 && (
            <div className="mt-2 border-l-4 border-rust pl-3">
                <p className="font-semibold text-rust">{says}</p>
                <ul>
                    {lines.map((l) => (
                        <li key={l}>{l}</li>
                    ))}
                </ul>
            </div>
        )
    );
}
