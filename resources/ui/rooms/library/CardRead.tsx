import { useState } from 'react';
import { row } from '../../parts/row';
import { CardLive, useCardPreview } from './CardLive';
import { type At, type Body, key, listed, same } from './card';

/** A text to be read: its steps on the left, the one in hand as the technician gets it. */
export function CardRead({ type, body }: { type: string; body: Body }) {
    const preview = useCardPreview(type, body);
    const [at, setAt] = useState<At | null>({ i: 0, k: null });
    const facts = [
        ['from', `${String(body.manual)} ${String(body.section)}, revision ${String(body.revision)}`],
        ['work', `${String(body.skill)}, ${String(body.hours)} h, ${String(body.zone)}, stage ${String(body.stage)}`],
        ...(['systems', 'panels', 'ground', 'after', 'covers'] as const).flatMap((f) =>
            Array.isArray(body[f]) && body[f].length > 0 ? [[f, (body[f] as string[]).join(', ')]] : [],
        ),
    ];
    return (
        <div className="mt-3 grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-6">
            <div>
                <dl className="mb-3 grid grid-cols-[5rem_1fr] gap-x-2 text-sm">
                    {facts.map(([name, said]) => (
                        <div key={name} className="contents">
                            <dt className="text-soft">{name}</dt>
                            <dd>{said}</dd>
                        </div>
                    ))}
                </dl>
                <ol>
                    {listed(body.steps).map((r) => (
                        <li key={key(r.at)} className={r.at.k === null ? '' : 'ml-5 border-l-2 border-slate pl-1'}>
                            <button
                                type="button"
                                aria-current={at && same(at, r.at) ? 'step' : undefined}
                                onClick={() => setAt(r.at)}
                                className={`grid min-h-9 grid-cols-[8.5rem_minmax(0,1fr)] leading-tight ${row(
                                    at !== null && same(at, r.at),
                                )}`}
                            >
                                <span className="text-sm text-soft">{r.step.kind.replace('_', ' ')}</span>
                                {r.step.title}
                            </button>
                        </li>
                    ))}
                </ol>
            </div>
            <CardLive type={type} body={body} at={at} preview={preview} onGo={setAt} />
        </div>
    );
}
