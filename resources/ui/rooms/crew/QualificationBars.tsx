import type { Schemas } from '../../api/client';
import { Button } from '../../parts/Button';
import { short } from '../../parts/dates';
import { Glyph, stateColour } from '../../parts/State';

type Held = Schemas['QualificationAsked'];

const SPAN = 730;

const noteColour = (state: string): string => (state === 'clear' ? 'text-soft' : stateColour(state));

/** What somebody holds, as bars from today towards its last day, two years across; one that does not lapse has no end. */
export function QualificationBars({ list, onChoose }: { list: Held[]; onChoose: ((h: Held) => void) | null }) {
    if (list.length === 0) {
        return (
            <p className="text-soft">
                Nothing yet. Skills, type ratings and authorities are entered here, each with its last day.
            </p>
        );
    }
    const kinds = ['authority', 'rating', 'skill'] as const;
    return (
        <ul>
            <li
                aria-hidden="true"
                className="grid grid-cols-[1.4rem_minmax(0,18rem)_minmax(8rem,1fr)_8rem_6rem] gap-3 text-sm text-soft max-[900px]:hidden"
            >
                <span className="col-start-3 flex justify-between pr-1">
                    <span>today</span>
                    <span>6 months</span>
                    <span>1 year</span>
                    <span>18 months</span>
                    <span>2 years</span>
                </span>
                <span>last day</span>
            </li>
            {kinds.flatMap((kind) =>
                list
                    .filter((h) => h.qualification.kind === kind)
                    .map((h) => (
                        <li
                            key={kind + h.qualification.value}
                            data-qualification={`${kind}:${h.qualification.value}`}
                            className="grid grid-cols-[1.4rem_minmax(0,18rem)_minmax(8rem,1fr)_8rem_6rem] items-center gap-3 border-b border-rule/60 py-1.5 max-[900px]:grid-cols-[1.4rem_1fr_6rem]"
                        >
                            <Glyph state={h.qualification.state} />
                            <span>
                                <b>{h.qualification.words.replace(/^the /, '')}</b>
                                <span className="block text-sm text-soft">
                                    {h.qualification.paper || 'no paper entered'}
                                    {h.asked.length > 0 &&
                                        `; ${h.asked.length === 1 ? '1 open card asks' : `${h.asked.length} open cards ask`} for it`}
                                </span>
                            </span>
                            <Bar days={h.qualification.days} state={h.qualification.state} />
                            <span className="max-[900px]:hidden">
                                <span className="font-mono">
                                    {h.qualification.validUntil ? short(h.qualification.validUntil) : 'no end'}
                                </span>
                                {h.qualification.note && (
                                    <span className={`block text-sm ${noteColour(h.qualification.state)}`}>
                                        {h.qualification.note}
                                    </span>
                                )}
                            </span>
                            {onChoose ? (
                                <Button
                                    aria-label={`Renew or withdraw ${h.qualification.words}`}
                                    onClick={() => onChoose(h)}
                                >
                                    Renew…
                                </Button>
                            ) : (
                                <span />
                            )}
                        </li>
                    )),
            )}
        </ul>
    );
}

function Bar({ days, state }: { days: number | null; state: string }) {
    const left = days === null ? SPAN : Math.max(0, Math.min(SPAN, days));
    const x = (d: number) => 2 + (d / SPAN) * 396;
    return (
        <svg
            viewBox="0 0 420 20"
            preserveAspectRatio="none"
            className="h-5 w-full max-[900px]:hidden"
            role="img"
            aria-label={days === null ? 'does not lapse' : days < 0 ? 'lapsed' : `${days} days left`}
        >
            {[0, 182.5, 365, 547.5, 730].map((d) => (
                <line
                    key={d}
                    x1={x(d)}
                    x2={x(d)}
                    y1="3"
                    y2="17"
                    className="stroke-rule"
                    strokeWidth={d === 365 || d === 730 ? 2 : 1}
                />
            ))}
            <line
                x1={x(0)}
                x2={x(left)}
                y1="10"
                y2="10"
                stroke="currentColor"
                strokeWidth="6"
                className={stateColour(state)}
            />
            {(days === null || days > SPAN) && (
                <path
                    d="M400 4 L412 10 L400 16"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2"
                    className={stateColour(state)}
                />
            )}
        </svg>
    );
}
