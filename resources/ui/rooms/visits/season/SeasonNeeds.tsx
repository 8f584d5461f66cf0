import { useState } from 'react';
import { Button } from '../../../parts/Button';
import { plus, short } from '../../../parts/dates';
import { Section } from '../../../parts/Page';
import { Pick } from '../../../parts/Pick';
import { toggled } from '../../../parts/toggled';
import { add, type Laid, type Need, putIn, type Season } from './laid';
import { NeedLine } from './NeedLine';

/** What falls due and has no visit, aircraft by aircraft: put into one of its visits, or into a new one. */
export function SeasonNeeds({
    season,
    may,
    lay,
}: {
    season: Season;
    may: boolean;
    lay: (by: (laid: Laid[]) => Laid[]) => void;
}) {
    const by = season.aircraft
        .map((a) => ({ craft: a, needs: season.open.filter((n) => n.mark === a.mark) }))
        .filter(({ needs }) => needs.length > 0);
    return (
        <Section title={`Without a visit (${season.open.length})`}>
            {by.length === 0 && <p className="text-soft">Everything that falls due has a visit.</p>}
            {by.map(({ craft, needs }) => (
                <details key={craft.mark} className="border-b border-rule/70 py-1.5" data-needs={craft.mark}>
                    <summary className="cursor-pointer py-1">
                        <b className="font-mono">{craft.mark}</b> <span className="text-soft">{craft.type}</span>{' '}
                        {needs.length === 1 ? 'one item' : `${needs.length} items`}, the first by{' '}
                        {short(needs.map((n) => n.latest).sort()[0] ?? null)}
                    </summary>
                    <Needs needs={needs} season={season} may={may} lay={lay} />
                </details>
            ))}
        </Section>
    );
}

function Needs({
    needs,
    season,
    may,
    lay,
}: {
    needs: Need[];
    season: Season;
    may: boolean;
    lay: (by: (laid: Laid[]) => Laid[]) => void;
}) {
    const [picked, setPicked] = useState<string[]>([]);
    const [to, setTo] = useState('');
    const mark = needs[0]?.mark ?? '';
    const visits = season.visits.filter((v) => v.mark === mark && !v.stands);
    const bays = season.bays.filter((b) => b.fits.includes(mark));
    const options: [string, string][] = [
        ...visits.map((v): [string, string] => [v.id, `${short(v.start)}, ${v.title}`]),
        ...bays.map((b): [string, string] => [`bay ${b.id}`, `a new visit, ${b.name}`]),
    ];
    const where = options.some(([v]) => v === to) ? to : (options[0]?.[0] ?? '');
    const put = () => {
        const lasts = needs.filter((n) => picked.includes(n.id)).sort((a, b) => a.days - b.days);
        const first = lasts[0];
        if (!first) {
            return;
        }
        const start = first.latest < season.from ? season.from : first.days > 1 ? plus(first.latest, -1) : first.latest;
        lay((laid) =>
            where.startsWith('bay ')
                ? add(laid, {
                      mark,
                      bay: where.slice(4),
                      start,
                      end: start,
                      items: picked,
                      title: `${first.title}${picked.length > 1 ? ` and ${picked.length - 1} more` : ''}`.slice(0, 120),
                      hours: 0,
                  })
                : putIn(laid, where, picked),
        );
        setPicked([]);
    };
    return (
        <>
            <ul className="my-1 grid gap-x-8 lg:grid-cols-2">
                {needs.map((n) => (
                    <NeedLine
                        key={n.id}
                        need={n}
                        picked={picked.includes(n.id)}
                        onPick={may ? () => setPicked(toggled(picked, n.id)) : null}
                        after={`by ${short(n.latest)}, ${n.hours} h`}
                    />
                ))}
            </ul>
            {may && (
                <div className="flex items-end gap-3 pb-2">
                    <div className="w-96">
                        <Pick small name="into" label="Into" value={where} options={options} onChange={setTo} />
                    </div>
                    <Button disabled={picked.length === 0} onClick={put}>
                        Put them there
                    </Button>
                </div>
            )}
        </>
    );
}
