/** The heads of a table's columns. */
export function Heads({ of }: { of: string[] }) {
    return (
        <thead className="text-sm text-soft">
            <tr>
                {of.map((h) => (
                    <th key={h} className="py-1 pr-4 font-semibold">
                        {h}
                    </th>
                ))}
            </tr>
        </thead>
    );
}
