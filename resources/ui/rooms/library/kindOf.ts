export type Kind =
    | 'cards'
    | 'follows'
    | 'listed'
    | 'listed-csv'
    | 'programme'
    | 'programme-csv'
    | 'revision'
    | 'flying'
    | 'sectors';

/** Which kind of file it is, by its name and what it has at its top; the server checks it whole. */
export function kindOf(name: string, text: string): Kind {
    if (name.toLowerCase().endsWith('.json')) {
        const has = top(text);
        if (has('revision') && has('issued') && has('items')) {
            return 'listed';
        }
        return has('cards') ? 'cards' : has('rules') ? 'follows' : has('passages') ? 'revision' : 'programme';
    }
    const head = text.slice(0, text.search(/[\r\n]|$/)).toLowerCase();
    if (head.includes('placard')) {
        return 'listed-csv';
    }
    return head.includes('interval') ? 'programme-csv' : head.includes('number') ? 'sectors' : 'flying';
}

/** Whether a file has something at its top; of one that is broken, what the server says is of a programme. */
function top(text: string): (key: string) => boolean {
    try {
        const file: unknown = JSON.parse(text);
        return (key) => typeof file === 'object' && file !== null && key in file;
    } catch {
        return (key) => new RegExp(`"${key}"\\s*:`).test(text) && !/"items"\s*:/.test(text);
    }
}
