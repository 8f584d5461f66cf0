/** Days beneath a drawing, as many of them as can be read. */
export function DayLabels({
    days,
    at,
    y,
    said,
}: {
    days: { date: string; words: string }[];
    at: (i: number) => number;
    y: number;
    said: (words: string) => string;
}) {
    const every = days.length <= 9 ? 1 : Math.ceil(days.length / 8);
    return days.map(
        (d, i) =>
            i % every === 0 && (
                <text key={d.date} x={at(i)} y={y} textAnchor="middle" className="fill-soft text-[12px]">
                    {said(d.words)}
                </text>
            ),
    );
}
