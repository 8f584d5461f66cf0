/**
 * What was confirmed on this device while there was no connection: kept here, in order, until the server has it.
 *
 * Each entry carries its own idempotency key, so that it is worked once however often it is sent; an entry that the server
 * refuses stays, with its reason, and holds back what was entered on the same card after it.
 */

import type { Asked, Schemas } from './client';

export type Body = Asked<'workStep'>;
export type FindingBody = Asked<'raiseFinding'>;
export type Spot = Asked<'markFinding'>;
export type HandOverBody = Asked<'handOver'>;

type Entry = {
    key: string;
    who: number;
    card: number;
    number: string;
    title: string;
    at: string;
    refused: string | null;
};
export type WaitingStep = Entry & { what: 'step'; no: number; body: Body };
/** A photo of it lies beside, under the same key; `photo` says that there is one. */
export type WaitingFinding = Entry & { what: 'finding'; body: FindingBody; photo: boolean };
type WaitingHandOver = Entry & { what: 'handover'; body: HandOverBody };
export type Waiting = WaitingStep | WaitingFinding | WaitingHandOver;
type New<T> = T extends Waiting ? Omit<T, 'key' | 'who' | 'card' | 'number' | 'title' | 'at' | 'refused'> : never;

type Sent = 'sent' | 'lost' | { refused: string };

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

/** The version that the card will have when what waits has arrived: all but a finding counts it up by one. */
export const versionAfter = (list: Waiting[], card: number, version: number): number =>
    version + list.filter((w) => w.card === card && w.refused === null && w.what !== 'finding').length;

/** An entry to be sent again against the card as it now is; what was entered after it follows on. */
export function renewed(list: Waiting[], key: string, version: number, fresh: () => string): Waiting[] {
    const one = list.find((w) => w.key === key);
    let n = version;
    return list.map((w) => {
        if (!one || w.card !== one.card || w.at < one.at) {
            return w;
        }
        // A finding keeps its key: it may be there already, and only its photo was refused.
        return w.what === 'finding'
            ? { ...w, refused: null }
            : ({ ...w, key: fresh(), refused: null, body: { ...w.body, version: n++ } } as Waiting);
    });
}

/** What waits, in few words. */
export function named(w: Waiting): string {
    return w.what === 'step'
        ? `${w.number} step ${w.no}`
        : w.what === 'finding'
          ? `a finding on ${w.number}`
          : `the hand-over of ${w.number}`;
}

/** What somebody entered, so that nothing of it is lost from sight. */
export function entered(w: Waiting): string {
    if (w.what === 'step') {
        return [w.body.entry, ...Object.values(w.body.entries ?? {})].filter((v) => v && v !== 'no').join(', ');
    }
    return w.what === 'finding' ? `${w.body.place}: ${w.body.extent}` : w.body.said;
}

/**
 * Kinds of answer that need no verdict of the server to go on. What acts on a system, is timed or signed needs the connection;
 * so does fitting a safing device, which holds nobody else's step before it stands in the register.
 */
export const mayWait = (step: { acts: string | null; kind: string }, answer: string): boolean =>
    step.acts === null &&
    ['done', 'read', 'count', 'compare', 'fit', 'use', 'answer', 'mark', 'meet', 'point', 'not_applicable'].includes(
        answer,
    ) &&
    !['hold', 'test', 'rig', 'rollcall', 'inspection', 'safing_fit'].includes(step.kind);

class Queue {
    // What an older build kept were all steps.
    private list = (JSON.parse(localStorage.getItem(STORE) ?? '[]') as Waiting[]).map(
        (w): Waiting => (w.what ? w : { ...(w as WaitingStep), what: 'step' }),
    );
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

    /** Keeps one more, behind all others, under the key it was first sent with. */
    add(key: string, who: number, card: Schemas['CardView'], title: string, one: New<Waiting>): void {
        const at = `${new Date().toISOString()} ${String(this.list.length).padStart(4, '0')}`;
        this.set([
            ...this.list,
            { key, who, card: card.id, number: card.number, title, at, refused: null, ...one } as Waiting,
        ]);
    }
}

export const queue = typeof localStorage === 'undefined' ? null : new Queue();
