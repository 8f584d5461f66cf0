import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useFinding } from '../../api/hooks';
import { Button } from '../../parts/Button';
import type { Outline } from '../../parts/Drawing';
import { Page, Section, Wait } from '../../parts/Page';
import { Glyph } from '../../parts/State';
import { type Column, Table } from '../../parts/Table';
import { Decide, Photos, Where } from './FindingParts';
import { FollowUps } from './FollowUps';
import { strokes } from './Sketch';

export type Detail = Schemas['FindingDetail'];

const kinds: Record<string, string> = { finding: 'found', card: 'worked', item: 'worked', part: 'fitted' };

const columns: Column<Schemas['HistoryLine']>[] = [
    {
        id: 'kind',
        header: 'What',
        accessorFn: (h) => kinds[h.kind] ?? h.kind,
        cell: ({ row }) => (
            <span className="whitespace-nowrap">
                <Glyph state={row.original.suspect ? 'watch' : row.original.kind === 'finding' ? 'stop' : 'clear'} />{' '}
                {kinds[row.original.kind] ?? row.original.kind}
            </span>
        ),
    },
    {
        id: 'on',
        header: 'When',
        accessorKey: 'on',
        cell: ({ row }) => <span className="whitespace-nowrap">{row.original.ago}</span>,
    },
    { id: 'flights', header: 'Flights since', accessorKey: 'flights' },
    {
        id: 'title',
        header: 'On the system',
        accessorKey: 'title',
        cell: ({ row }) =>
            row.original.link ? (
                <Link to={row.original.link} className="font-semibold underline underline-offset-4">
                    {row.original.title}
                </Link>
            ) : (
                <b>{row.original.title}</b>
            ),
    },
    { id: 'said', header: 'Said', accessorKey: 'said' },
    {
        id: 'window',
        header: 'Within',
        accessorFn: (h) => [h.inFlights && '30 flights', h.inDays && '90 days'].filter(Boolean).join(', '),
    },
];

/** One finding: where it is, what was done to its system before, and what can be done about it. */
export function Finding() {
    return <Wait query={useFinding(Number(useParams().id))}>{(f) => <FindingOf f={f} />}</Wait>;
}

function FindingOf({ f }: { f: Detail }) {
    const v = f.finding;
    return (
        <Page
            over={
                <>
                    <Link className="underline underline-offset-4" to={`/floor/${v.cardId}`}>
                        Card {v.card}
                    </Link>{' '}
                    · raised by {v.raisedBy}, {v.raisedAt}
                </>
            }
            sentence={f.sentence}
            note={`${v.severity}, chapter ${v.chapter}: ${v.extent}`}
            actions={<Button onClick={() => window.print()}>Print</Button>}
        >
            {f.repeat && (
                <p className="mb-4 rounded-lg border-2 border-ochre bg-ochre-wash p-3" data-testid="repeat">
                    <Glyph state="watch" /> <b>Found there before:</b>{' '}
                    <Link className="underline underline-offset-4" to={`/floor/findings/${f.repeatId}`}>
                        {f.repeat}
                    </Link>
                </p>
            )}
            {f.may.includes('tree') && (
                <p className="mb-3">
                    <Link
                        className="inline-flex min-h-12 items-center font-semibold underline underline-offset-4"
                        to={`/bench/findings/${v.id}`}
                    >
                        Its fault tree, and the way that was gone
                    </Link>
                </p>
            )}
            <Decide f={f} />
            <FollowUps f={f} />
            <div className="mt-6 grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-8 max-[1150px]:grid-cols-1">
                {f.drawing && <Where f={f} outline={f.drawing.outline as Outline} />}
                <div>
                    {f.sketch.length > 0 && (
                        <svg
                            viewBox="0 0 400 200"
                            role="img"
                            aria-label="Sketch"
                            className="mb-3 w-full rounded-lg border border-rule bg-sheet"
                        >
                            <path
                                d={strokes(f.sketch, 400, 200)}
                                className="fill-none stroke-ink"
                                strokeWidth="2.5"
                                strokeLinecap="round"
                                strokeLinejoin="round"
                            />
                        </svg>
                    )}
                    <Photos f={f} />
                </div>
            </div>
            <Section title={`What was found on chapter ${v.chapter.slice(0, 2)} of ${v.mark}, and done to it`}>
                <Table
                    name={`history-${v.number}`}
                    rows={f.history}
                    columns={columns}
                    empty="Nothing in the last 90 days and the last 30 flights."
                />
            </Section>
        </Page>
    );
}
