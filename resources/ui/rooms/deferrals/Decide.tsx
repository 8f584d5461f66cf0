import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { useDeferOptions } from '../../api/hooks';
import { Page, Section, Wait } from '../../parts/Page';
import { DeferSheet } from './DeferSheet';
import { Option } from './Option';

/**
 * Under which listed items a finding may be carried and under which not, each with its reason, before anybody commits.
 */
export function Decide() {
    const id = Number(useParams().id);
    const [choice, setChoice] = useState<Schemas['OptionView'] | null>(null);
    return (
        <Wait query={useDeferOptions(id)}>
            {(room) => (
                <Page
                    over={
                        <Link className="underline underline-offset-4" to="/deferrals">
                            Deferrals
                        </Link>
                    }
                    sentence={room.sentence}
                    note={
                        <>
                            {room.finding.extent}; {room.finding.raisedAt}, {room.finding.raisedBy}, chapter{' '}
                            {room.finding.chapter}.{' '}
                            <Link className="underline underline-offset-4" to={`/floor/findings/${room.finding.id}`}>
                                The finding
                            </Link>
                        </>
                    }
                >
                    {room.carried.length > 0 && (
                        <p className="text-sm text-soft">
                            {room.finding.mark} carries {room.carried.join('; ')}.
                        </p>
                    )}
                    {room.open && (
                        <Section title="Listed items of its chapter">
                            <ul className="divide-y divide-rule">
                                {room.options.map((o) => (
                                    <Option key={o.id} option={o} may={room.may} onChoose={() => setChoice(o)} />
                                ))}
                            </ul>
                            {room.options.length === 0 && (
                                <p className="py-3 text-soft">
                                    The list has nothing of this chapter. Correct the chapter at the finding, or fix it.
                                </p>
                            )}
                        </Section>
                    )}
                    {choice && <DeferSheet room={room} option={choice} onClose={() => setChoice(null)} />}
                </Page>
            )}
        </Wait>
    );
}
