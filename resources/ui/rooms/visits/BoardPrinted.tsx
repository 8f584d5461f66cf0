import type { Schemas } from '../../api/client';

/** On paper the plan is a list: the drawing is wider than any sheet. */
export function Printed({ cards }: { cards: Schemas['BoardCard'][] }) {
    const open = cards.filter((c) => c.state !== 'closed').sort((a, b) => a.from - b.from || a.id - b.id);
    return (
        <table className="hidden w-full text-left print:table">
            <thead>
                <tr className="border-b border-rule">
                    {['Card', 'When', 'What', 'Zone', 'People', 'Decides the exit', 'Lacks'].map((h) => (
                        <th key={h} scope="col" className="pr-3">
                            {h}
                        </th>
                    ))}
                </tr>
            </thead>
            <tbody>
                {open.map((c) => (
                    <tr key={c.id} className="border-b border-rule/70 align-top">
                        <td className="pr-3 font-mono">{c.number}</td>
                        <td className="pr-3">{c.when}</td>
                        <td className="pr-3">{c.title}</td>
                        <td className="pr-3">{c.zone}</td>
                        <td className="pr-3">{c.people}</td>
                        <td className="pr-3">{c.onChain ? 'yes' : c.slack}</td>
                        <td>{c.lacks.join(' ')}</td>
                    </tr>
                ))}
            </tbody>
        </table>
    );
}
