/** Three letters each, on every screen as on the server's. */
export const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** "14 May", and the year when it is not this one. */
export function short(date: string | null, today = new Date().toISOString().slice(0, 10)): string {
    if (date === null) {
        return '—';
    }
    const [year, month, day] = date.slice(0, 10).split('-');
    return `${Number(day)} ${months[Number(month) - 1]}${year === today.slice(0, 4) ? '' : ` ${year}`}`;
}

/** One day, or the first and the last of several. */
export const spanOf = ({ from, until }: { from: string; until: string }): string =>
    from === until ? short(from) : `${short(from)} to ${short(until)}`;

/** A date so many days after another. */
export function plus(date: string, days: number): string {
    return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
