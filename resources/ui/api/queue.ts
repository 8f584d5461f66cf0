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
export type DamageBody = Asked<'enterDamage'>;
export type LookBody = Asked<'lookAtDamage'>;

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
type WaitingDamage = Entry & { what: 'damage'; body: DamageBody };
/** A look at a known damage from a card; without a body it is as it was. */
export type WaitingLook = Entry & { what: 'look'; damage: number; name: string; body: LookBody | null };
export type Waiting = WaitingStep | WaitingFinding | WaitingHandOver | WaitingDamage | WaitingLook;
export type New<T> = T extends Waiting
    ? Omit<T, 'key' | 'who' | 'card' | 'number' | 'title' | 'at' | 'refused'>
    : never;

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

/** Whether it counts up the version of its card: what is found or looked at beside it does not. */
const counts = (w: Waiting): w is WaitingStep | WaitingHandOver => w.what === 'step' || w.what === 'handover';

/** The version that the card will have when what waits has arrived: each step and hand-over counts it up by one. */
export const versionAfter = (list: Waiting[], card: number, version: number): number =>
    version + list.filter((w) => w.card === card && w.refused === null && counts(w)).length;

/** An entry to be sent again against the card as it now is; what was entered after it follows on. */
export function renewed(list: Waiting[], key: string, version: number, fresh: () => string): Waiting[] {
    const one = list.find((w) => w.key === key);
    let n = version;
    return list.map((w) => {
        if (!one || w.card !== one.card || w.at < one.at) {
            return w;
        }
        // A finding keeps its key: it may be there already, and only its photo was refused.
        return counts(w)
            ? ({ ...w, key: fresh(), refused: null, body: { ...w.body, version: n++ } } as Waiting)
            : { ...w, refused: null };
    });
}

/** What waits, in few words. */
export function named(w: Waiting): string {
    switch (w.what) {
        case 'step':
            return `${w.number} step ${w.no}`;
        case 'finding':
            return `a finding on ${w.number}`;
        case 'handover':
            return `the hand-over of ${w.number}`;
        case 'damage':
            return `a damage on ${w.number}`;
        case 'look':
            return `a look at ${w.name}`;
    }
}

/** What somebody entered, so that nothing of it is lost from sight. */
export function entered(w: Waiting): string {
    switch (w.what) {
        case 'step':
            return [w.body.entry, ...Object.values(w.body.entries ?? {})].filter((v) => v && v !== 'no').join(', ');
        case 'finding':
            return `${w.body.place}: ${w.body.extent}`;
        case 'handover':
            return w.body.said;
        case 'damage':
            return `${w.body.kind}, ${w.body.place}, ${w.body.length} mm`;
        case 'look':
            return w.body === null ? 'as it was' : `${w.body.length} mm`;
    }
}

/**
 * Kinds of answer that need no verdict of the server to go on. What acts on a system, is timed or signed needs the connection;
 * so does fitting a safing device, which holds nobody else's step before it stands in the register.
 */
export const mayWait = (
    step: { acts: string | null; kind: string; spec?: Record<string, unknown> },
    answer: string,
): boolean =>
    step.acts === null &&
    // What comes of a step of a functional test decides what follows it.
    step.spec?.test === undefined &&
    ['done', 'read', 'count', 'compare', 'fit', 'use', 'answer', 'mark', 'meet', 'point', 'not_applicable'].includes(
        answer,
    ) &&
    !['hold', 'test', 'rig', 'rollcall', 'inspection', 'safing_fit', 'leak', 'stabilise'].includes(step.kind);

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
    add(
        key: string,
        who: number,
        card: Pick<Schemas['CardView'], 'id' | 'number'>,
        title: string,
        one: New<Waiting>,
    ): void {
        const at = `${new Date().toISOString()} ${String(this.list.length).padStart(4, '0')}`;
        this.set([
            ...this.list,
            { key, who, card: card.id, number: card.number, title, at, refused: null, ...one } as Waiting,
        ]);
    }
}

export const queue = typeof localStorage === 'undefined' ? null : new Queue();
