import { useSearchParams } from 'react-router';
import { usePastTests } from '../../api/hooks';
import { Button } from '../../parts/Button';
import { Page, Section, Wait } from '../../parts/Page';
import { Table } from '../../parts/Table';
import { Tabs } from '../../parts/Tabs';
import { testColumns } from './columns';
import { benchTabs } from './tabs';

/** Every test there was, by aircraft and system; what is chosen stays in the address. */
export function PastTests() {
    const [search, setSearch] = useSearchParams();
    const chosen = Object.fromEntries(
        ['mark', 'system'].flatMap((key) => (search.get(key) ? [[key, search.get(key)]] : [])),
    ) as { mark?: string; system?: string };
    const before = search.get('before');
    const query = usePastTests({ ...chosen, ...(before === null ? {} : { before: Number(before) }) });
    return (
        <Wait query={query}>
            {(past) => (
                <Page over={<Tabs label="Bench" tabs={benchTabs} />} sentence={past.sentence}>
                    <div className="flex flex-wrap gap-4">
                        <Choice
                            name="mark"
                            title="Aircraft"
                            every="all aircraft"
                            of={past.marks}
                            is={chosen.mark}
                            onIs={(mark) => setSearch({ ...chosen, mark })}
                        />
                        <Choice
                            name="system"
                            title="System"
                            every="all systems"
                            of={past.systems}
                            is={chosen.system}
                            onIs={(system) => setSearch({ ...chosen, system })}
                        />
                    </div>
                    <Section title={before === null ? 'The last first' : 'Earlier'}>
                        <Table name="tests-past" rows={past.rows} columns={testColumns} empty="None of these." />
                        <div className="mt-3 flex gap-3">
                            {before !== null && (
                                <Button onClick={() => setSearch(chosen as Record<string, string>)}>The latest</Button>
                            )}
                            {past.older !== null && (
                                <Button
                                    onClick={() =>
                                        setSearch({ ...chosen, before: String(past.older) } as Record<string, string>)
                                    }
                                >
                                    Earlier ones
                                </Button>
                            )}
                        </div>
                    </Section>
                </Page>
            )}
        </Wait>
    );
}

function Choice(props: {
    name: string;
    title: string;
    every: string;
    of: string[];
    is: string | undefined;
    onIs: (is: string) => void;
}) {
    return (
        <label className="flex items-center gap-2">
            <span className="font-semibold">{props.title}</span>
            <select
                name={props.name}
                value={props.is ?? ''}
                onChange={(e) => props.onIs(e.target.value)}
                className="h-12 rounded-lg border-2 border-soft bg-sheet px-2"
            >
                <option value="">{props.every}</option>
                {props.of.map((o) => (
                    <option key={o}>{o}</option>
                ))}
            </select>
        </label>
    );
}
