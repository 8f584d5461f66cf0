import { Link } from 'react-router';
import { useSince } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { Tabs } from '../../parts/Tabs';
import { fleetViews } from './views';

/** What others did since somebody was last here, room by room. */
export function Since() {
    return (
        <Wait query={useSince()}>
            {(since) => (
                <Page
                    over={<Tabs label="Fleet" tabs={fleetViews} />}
                    sentence={since.sentence}
                    actions={<Button onClick={() => window.print()}>Print</Button>}
                >
                    {since.rooms.map((r) => (
                        <Section key={r.room} title={r.room}>
                            <ul className="divide-y divide-rule/70">
                                {r.lines.map((l) => (
                                    <li
                                        key={l.id}
                                        className="grid grid-cols-[10rem_minmax(0,1fr)_14rem] items-baseline gap-4 py-1.5"
                                    >
                                        <span className="text-sm text-soft">{l.when}</span>
                                        {l.link ? (
                                            <Link className="underline underline-offset-4" to={l.link}>
                                                {l.said}
                                            </Link>
                                        ) : (
                                            <span>{l.said}</span>
                                        )}
                                        <span className="text-sm text-soft">{l.who}</span>
                                    </li>
                                ))}
                            </ul>
                            {r.counted.length > 0 && <p className="py-1.5 text-soft">{r.counted.join(', ')}.</p>}
                        </Section>
                    ))}
                </Page>
            )}
        </Wait>
    );
}
