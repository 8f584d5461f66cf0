import { useEffect, useState } from 'react';
import type { Schemas } from '../../../api/client';

/** Seconds that a hold has run by the server's clock, ticking here between its answers. */
export function useHeld(step: Schemas['StepView']): number {
    const [now, setNow] = useState(Date.now());
    const [base, setBase] = useState({ held: step.heldFor ?? 0, at: Date.now(), of: step.startedAt });
    useEffect(() => {
        // The server counts whole seconds: within one hold the time never goes back, or a field would vanish under what is typed.
        setBase((b) => {
            const here = b.of === step.startedAt ? b.held + (Date.now() - b.at) / 1000 : 0;
            return { held: Math.max(here, step.heldFor ?? 0), at: Date.now(), of: step.startedAt };
        });
    }, [step.heldFor, step.startedAt]);
    useEffect(() => {
        const timer = setInterval(() => setNow(Date.now()), 200);
        return () => clearInterval(timer);
    }, []);
    return step.startedAt === null ? 0 : base.held + Math.max(0, now - base.at) / 1000;
}

/** A hold's time as a ring that fills. */
export function Ring({ held, of }: { held: number; of: number }) {
    const length = 2 * Math.PI * 52;
    return (
        <svg
            viewBox="0 0 128 128"
            className="size-32 shrink-0"
            role="timer"
            aria-label={`${Math.floor(held)} of ${of} seconds held`}
        >
            <circle cx="64" cy="64" r="52" fill="none" className="stroke-shade" strokeWidth="10" />
            <circle
                cx="64"
                cy="64"
                r="52"
                fill="none"
                className="stroke-spruce"
                strokeWidth="10"
                strokeDasharray={`${(held / of) * length} ${length}`}
                transform="rotate(-90 64 64)"
            />
            <text x="64" y="70" textAnchor="middle" className="fill-ink font-mono text-[26px] font-bold">
                {Math.floor(held)}
            </text>
            <text x="64" y="88" textAnchor="middle" className="fill-soft text-[12px]">
                of {of} s
            </text>
        </svg>
    );
}
