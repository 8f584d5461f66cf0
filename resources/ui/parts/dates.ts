/** "14 May", and the year when it is not this one. */
export function short(date: string | null, today = new Date().toISOString().slice(0, 10)): string {
    if (date === null) {
        return '—';
    }
    const d = new Date(`${date}T00:00:00Z`);
    return d.toLocaleDateString('en-GB', {
        day: 'numeric',
        month: 'short',
        year: date.slice(0, 4) === today.slice(0, 4) ? undefined : 'numeric',
        timeZone: 'UTC',
    });
}

/** A date so many days after another. */
export function plus(date: string, days: number): string {
    return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}
