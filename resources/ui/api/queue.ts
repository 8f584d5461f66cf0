/**
 * What was confirmed on this device while there was no connection: kept here, in order, until the server has it.
 *
 * Each entry carries its own idempotency key, so that it is worked once however often it is sent; an entry that the server
 * refuses stays, with its reason, and holds back what was entered on the same card after it.
 */

export type Body = { version: number; do: string; entry?: string; entries?: Record<string, string>; tool?: string; note?: string };
export type Waiting = {
    key: string;
    who: number;
    card: number;
    number: string;
    no: number;
    title: string;
    body: Body;
    at: string;
    refused: string | null;
};

export type Sent = 'sent' | 'lost' | { refused: string };

const STORE = 'jorvel.waiting';

/** The list after one was answered: gone when sent, kept when lost, marked when refused. */
export function answered(list: Waiting[], key: string, how: Sent): Waiting[] {
    if (how === 'sent') {
        return list.filter((w) => w.key !== key);
    }
    return how === 'lost' ? list : list.map((w) => (w.key === key ? { ...w, refused: how.refused } : w));
}

/** The next to send: the oldest of a person whose card has nothing refused before it. */
export function nextToSend(list: Waiting[], who: number): Waiting | undefined {
    const stuck = new Set<number>();
    for (const w of list) {
        if (w.who === who && !stuck.has(w.card)) {
            if (w.refused === null) {
                return w;
            }
            stuck.add(w.card);
        }
    }
    return undefined;
}

/** The version that the card will have when what waits has arrived: every step counts it up by one. */
export const versionAfter = (list: Waiting[], card: number, version: number): number =>
    version + list.filter((w) => w.card === card && w.refused === null).length;

/** An entry to be sent again against the card as it now is; what was entered after it follows on. */
export function renewed(list: Waiting[], key: string, version: number, fresh: () => string): Waiting[] {
    const one = list.find((w) => w.key === key);
    let n = version;
    return list.map((w) =>
        one && w.card === one.card && w.at >= one.at ? { ...w, key: fresh(), refused: null, body: { ...w.body, version: n++ } } : w,
    );
}

/** Kinds of answer that need no verdict of the server to go on; what acts on a system, is timed or signed needs the connection. */
export const mayWait = (step: { acts: string | null; kind: string }, answer: string): boolean =>
    step.acts === null &&
    ['done', 'read', 'count', 'compare', 'fit', 'use'].includes(answer) &&
    !['hold', 'test', 'rig', 'rollcall', 'inspection'].includes(step.kind);

class Queue {
    private list: Waiting[] = JSON.parse(localStorage.getItem(STORE) ?? '[]') as Waiting[];
    private heard = new Set<() => void>();

    readonly all = (): Waiting[] => this.list;

    readonly listen = (f: () => void): (() => void) => {
        this.heard.add(f);
        return () => this.heard.delete(f);
    };

    set(list: Waiting[]): void {
        this.list = list;
        localStorage.setItem(STORE, JSON.stringify(list));
        for (const f of this.heard) {
            f();
        }
    }
}

export const queue = typeof localStorage === 'undefined' ? null : new Queue();
