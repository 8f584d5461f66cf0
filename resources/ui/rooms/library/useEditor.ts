import { useEffect, useState } from 'react';
import { api, type Schemas, take } from '../../api/client';
import { useSend } from '../../api/hooks';
import { touches } from '../../api/keys';
import {
    type At,
    type Body,
    begun,
    type History,
    inserted,
    listed,
    moved,
    redone,
    removed,
    type Step,
    same,
    stepAt,
    undone,
    written,
} from './card';

const NEW: Step = { kind: 'instruction', title: '', text: '' };

/** What is written, step by step, with undo and redo, the step in hand, and the draft that it is saved to. */
export function useEditor(type: string, start: Body, draft: number | null, before: string) {
    const [history, setHistory] = useState<History<Body>>(begun(start));
    const [typing, setTyping] = useState<string | null>(null);
    const [at, setAt] = useState<At | null>(null);
    const [note, setNote] = useState(before);
    const [saved, setSaved] = useState({ body: start, note: before });
    const [seen, setSeen] = useState(draft);
    const body = history.now;
    const step = at === null ? undefined : stepAt(body.steps, at);
    const dirty = body !== saved.body || note !== saved.note;
    const send = useSend(
        (_: null, headers) =>
            take(
                api.POST('/api/library/card-sets/{type}/drafts', {
                    params: { path: { type } },
                    body: { body, note, ...(seen === null ? {} : { version: seen }) },
                    headers,
                }),
            ),
        (room: Schemas['CardRoom']) => {
            setSaved({ body, note });
            setSeen(room.draftVersion);
        },
        { affects: touches.library },
    );
    useEffect(() => {
        const leave = (e: BeforeUnloadEvent) => dirty && e.preventDefault();
        window.addEventListener('beforeunload', leave);
        return () => window.removeEventListener('beforeunload', leave);
    }, [dirty]);
    const write = (now: Body, what: string | null) => {
        setHistory(written(history, now, what !== null && what === typing));
        setTyping(what);
    };
    const steps = (list: Step[], what: string | null = null) => write({ ...body, steps: list }, what);
    const choose = (where: At | null) => {
        setAt(where);
        setTyping(null);
    };
    const shift = (by: number) => {
        if (at !== null) {
            const out = moved(body.steps, at, by);
            steps(out.steps);
            setAt(out.at);
        }
    };
    const add = (...more: Step[]) => {
        const from = at ?? { i: body.steps.length - 1, k: null };
        steps(inserted(body.steps, from, ...more));
        choose(from.k === null ? { i: from.i + 1, k: null } : { i: from.i, k: from.k + 1 });
    };
    const drop = () => {
        if (at !== null && body.steps.length > 1) {
            steps(removed(body.steps, at));
            choose(null);
        }
    };
    /** Dragged to the place of another one of the same list. */
    const carry = (from: At, to: At) => {
        const one = stepAt(body.steps, from);
        if (one && from.k === null && to.k === null) {
            steps(inserted(removed(body.steps, from), { i: to.i - 1, k: null }, one));
            choose(to);
        } else if (one && from.i === to.i && from.k !== null && to.k !== null) {
            steps(inserted(removed(body.steps, from), { i: to.i, k: to.k - 1 }, one));
            choose(to);
        }
    };
    const past = (to: History<Body>) => {
        setHistory(to);
        setTyping(null);
        if (at !== null && stepAt(to.now.steps, at) === undefined) {
            setAt(null);
        }
    };
    const undo = () => past(undone(history));
    const redo = () => past(redone(history));
    const fresh = () => add(structuredClone(NEW));
    const double = () => step && add(structuredClone(step));
    /** A first or a further step in the block in hand. */
    const fill = () => {
        const k = (step?.spec?.steps as Step[] | undefined)?.length ?? 0;
        if (at !== null) {
            steps(inserted(body.steps, { i: at.i, k: k - 1 }, structuredClone(NEW)));
            choose({ i: at.i, k });
        }
    };
    // Wherever one is on the page: what was in hand may be gone with its field.
    const onKey = (e: KeyboardEvent) => {
        if (e.target instanceof HTMLElement && e.target.closest('[role=dialog]')) {
            return;
        }
        const command = e.ctrlKey || e.metaKey;
        const rows = listed(body.steps);
        const n = at === null ? -1 : rows.findIndex((r) => same(r.at, at));
        const act: Record<string, (() => void) | undefined> = {
            z: command ? (e.shiftKey ? redo : undo) : undefined,
            y: command ? redo : undefined,
            s: command ? () => send.mutate(null) : undefined,
            d: command ? double : undefined,
            Enter: command ? fresh : undefined,
            ArrowUp: e.altKey ? () => (command ? shift(-1) : choose(rows[n - 1]?.at ?? null)) : undefined,
            ArrowDown: e.altKey ? () => (command ? shift(1) : choose(rows[n + 1]?.at ?? at)) : undefined,
        };
        const run = act[e.key];
        if (run) {
            e.preventDefault();
            run();
        }
    };
    useEffect(() => {
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    });
    return {
        body,
        step,
        at,
        note,
        dirty,
        seen,
        send,
        mayUndo: history.past.length > 0,
        mayRedo: history.next.length > 0,
        setNote,
        write,
        steps,
        choose,
        shift,
        add,
        drop,
        carry,
        undo,
        redo,
        fresh,
        double,
        fill,
    };
}

export type EditorState = ReturnType<typeof useEditor>;
