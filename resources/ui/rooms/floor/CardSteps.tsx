import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { row } from '../../parts/row';
import { Glyph } from '../../parts/State';
import type { CardData } from './Card';
import { Handing } from './HandOver';

export function Steps({
    card,
    at,
    here,
    onChoose,
    onHand,
}: {
    card: CardData;
    at: number | null;
    here: number[];
    onChoose: (no: number) => void;
    onHand: () => void;
}) {
    const list = useRef<HTMLOListElement>(null);
    // The step in hand stays in sight, however long the card is.
    useEffect(() => {
        list.current?.querySelector(`[data-step="${at}"]`)?.scrollIntoView({ block: 'nearest' });
    }, [at]);
    return (
        <aside className="sticky top-0 flex h-[calc(100vh-2.75rem)] flex-col self-start border-r border-rule px-4 pt-4 pb-3 max-[1150px]:row-span-2 print:static print:h-auto">
            <p className="text-sm text-soft">
                <Link
                    to={card.line ? '/floor/line' : `/visits/${card.visitId}`}
                    className="font-mono font-bold text-ink underline underline-offset-4"
                >
                    {card.mark}
                </Link>{' '}
                {card.effectivity} · card {card.number} ·{' '}
                <Link to={`/library/manuals/${card.manual}`} className="whitespace-nowrap underline underline-offset-4">
                    {card.manual}
                </Link>{' '}
                {card.section} rev. {card.revision} ·{' '}
                <a
                    className="underline underline-offset-4 print:hidden"
                    href={`/api/release/${card.visitId}/cards.pdf?cards=${card.id}`}
                    target="_blank"
                    rel="noreferrer"
                >
                    print
                </a>
                {card.method && <span className="block">method: {card.method}</span>}
            </p>
            <h2 className="mt-1 mb-3 text-[1.15rem] leading-snug font-semibold">{card.title}</h2>
            <ol ref={list} className="min-h-0 flex-1 overflow-y-auto print:overflow-visible">
                {card.steps.map((s, i) => {
                    const group = s.spec.group as string | undefined;
                    const first = group !== undefined && card.steps[i - 1]?.spec.group !== group;
                    const each = eachOf(s);
                    const before = card.steps[i - 1];
                    const position = each !== undefined && each.position !== (before && eachOf(before)?.position);
                    return (
                        <li key={s.no} className={group || each ? 'border-l-2 border-slate pl-1' : ''}>
                            {each && position && <Position card={card} each={each} />}
                            {part(s) !== undefined && part(s) !== part(before) && (
                                <span className="mt-1 block pl-2 text-xs text-soft">{part(s)}</span>
                            )}
                            {first && <span className="block pl-2 text-xs text-soft">in any order:</span>}
                            <button
                                type="button"
                                data-step={s.no}
                                data-state={here.includes(s.no) ? 'waiting' : s.state}
                                aria-current={at === s.no ? 'step' : undefined}
                                onClick={() => onChoose(s.no)}
                                className={`grid min-h-12 grid-cols-[1.3rem_1.6rem_1fr] ${row(at === s.no)} ${
                                    s.state !== 'open' ? 'text-soft' : ''
                                } ${s.state === 'not_applicable' || s.state === 'not_reached' ? 'line-through decoration-1' : ''}`}
                            >
                                <Margin step={s} waits={here.includes(s.no)} />
                                <span className="font-mono text-sm">{s.no}</span>
                                <span className="py-1 leading-tight">{s.title}</span>
                            </button>
                        </li>
                    );
                })}
            </ol>
            <Handing card={card} onHand={onHand} />
        </aside>
    );
}

/** Where a functional test begins, is set up, is worked and is put back. */
const parts: Record<string, string> = { setup: 'Set up', test: 'Test', restore: 'Put back' };
const part = (s: Schemas['StepView'] | undefined): string | undefined =>
    parts[(s?.spec.test as { part: string } | undefined)?.part ?? ''];

type Each = { title: string; position: string; n: number; of: number };
const eachOf = (s: Schemas['StepView']): Each | undefined => s.spec.each as Each | undefined;

/** One position of a block, with how many of them are through. */
function Position({ card, each }: { card: CardData; each: Each }) {
    const open = card.steps.filter((s) => eachOf(s)?.title === each.title && s.state === 'open');
    const left = new Set(open.map((s) => eachOf(s)?.position));
    return (
        <span className="mt-1 block pl-2 text-xs text-soft">
            {each.n === 1 && (
                <b className="block text-ink">
                    {each.title}: {each.of - left.size} of {each.of}, in any order
                </b>
            )}
            {each.position}
        </span>
    );
}

/** How a step stands, at the margin. */
function Margin({ step, waits }: { step: Schemas['StepView']; waits: boolean }) {
    if (waits) {
        return (
            <span>
                <Glyph state="waiting" size={14} />
                <span className="sr-only">waiting to be sent</span>
            </span>
        );
    }
    if (step.state === 'not_reached') {
        return (
            <span>
                <Glyph state="waiting" size={14} />
                <span className="sr-only">not reached</span>
            </span>
        );
    }
    if (step.result.verdict !== undefined && step.result.verdict !== 'pass') {
        return (
            <span>
                <Glyph state="stop" size={14} />
                <span className="sr-only">not good</span>
            </span>
        );
    }
    if (step.state === 'done') {
        return <DoneMark />;
    }
    if (step.state === 'not_applicable') {
        return (
            <span className="font-mono text-xs text-soft">
                n/a<span className="sr-only">: not applicable</span>
            </span>
        );
    }
    if (step.holds.length > 0) {
        return (
            <span>
                <Glyph state="stop" size={14} />
                <span className="sr-only">held</span>
            </span>
        );
    }
    return <span />;
}

/** A done step: a filled bar at the margin, so the column shows at a glance how far the card has come. */
function DoneMark() {
    return (
        <>
            <span className="h-7 w-1.5 rounded-full bg-spruce" aria-hidden="true" />
            <span className="sr-only">done</span>
        </>
    );
}
