import { Link } from 'react-router';
import { Figure, type FigureMark } from '../../parts/Figure';
import type { StepProps } from './useStep';

type StepFigureSpec = { code: string; version: number; marks?: FigureMark[] };

/** What is known about a step beside its words: the label on the panel, what it does to what is proven, and why. */
export function AboutStep({ card, step }: Pick<StepProps, 'card' | 'step'>) {
    const shows = step.spec.figure as StepFigureSpec | undefined;
    const figure = shows && card.figures.find((f) => f.code === shows.code && f.version === shows.version);
    const see = (step.spec.see as { card?: string; passage?: string }[] | undefined) ?? [];
    return (
        <>
            {figure && <Figure figure={figure} marks={shows.marks ?? []} />}
            {step.spec.label !== undefined && (
                <p className="mt-1">
                    On the panel: <b className="font-mono">{String(step.spec.label)}</b>
                </p>
            )}
            {step.before && step.state === 'open' && <p className="mt-1">{step.before}.</p>}
            {step.handles.map((h) => (
                <p key={h} className="mt-1 text-soft">
                    {h}.
                </p>
            ))}
            {see.length > 0 && (
                <p className="mt-1">
                    See also{' '}
                    {see.map((s) => (
                        <Link
                            key={s.card ?? s.passage}
                            className="mr-3 inline-flex min-h-9 items-center underline underline-offset-4"
                            to={
                                s.card
                                    ? `/library/cards/${card.type}/${s.card}`
                                    : `/library/manuals/${card.manual}#${s.passage}`
                            }
                        >
                            {s.card ?? `${card.manual} ${s.passage}`}
                        </Link>
                    ))}
                </p>
            )}
            {step.spec.why !== undefined && (
                <details className="mt-1 text-soft">
                    <summary className="min-h-9 cursor-pointer py-1 underline underline-offset-4">
                        Why this step is here
                    </summary>
                    <p className="max-w-2xl pb-2 text-ink">{String(step.spec.why)}</p>
                </details>
            )}
        </>
    );
}
