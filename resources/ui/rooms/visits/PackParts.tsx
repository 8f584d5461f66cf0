import { useDraggable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { short } from '../../parts/dates';
import { State } from '../../parts/State';
import type { Line, Slot } from './Pack';

export type Into = Record<string, string>;

/** Slot by item, as it is laid. */
export const into = (pack: Schemas['PackView']): Into =>
    Object.fromEntries(pack.items.flatMap((l) => (l.slot ? [[l.key, l.slot]] : [])));

type ChipProps = { line: Line; may: boolean; chosen: boolean; onChoose: (key: string) => void; children: ReactNode };

/** Hours of items, of opening panels, and what is left, as a bar with its numbers. */
export function Filled({ slot }: { slot: Slot }) {
    const of = Math.max(slot.capacity, slot.itemHours + slot.accessHours, 1);
    const w = (h: number) => (h / of) * 160;
    return (
        <span className="flex items-center gap-2 text-sm">
            <svg width="160" height="12" aria-hidden="true">
                <rect width={w(slot.capacity)} height="12" className="fill-shade" />
                <rect width={w(slot.itemHours)} height="12" className="fill-spruce" />
                <rect x={w(slot.itemHours)} width={w(slot.accessHours)} height="12" className="fill-slate" />
                <line
                    x1={w(slot.capacity)}
                    x2={w(slot.capacity)}
                    y1="0"
                    y2="12"
                    className="stroke-ink"
                    strokeWidth="3"
                />
            </svg>
            {slot.problem ? (
                <State state="stop" word={slot.problem} />
            ) : (
                <span>
                    {slot.itemHours} h{slot.accessHours > 0 && ` + ${slot.accessHours} h panels`} of {slot.capacity}
                </span>
            )}
        </span>
    );
}

function Chip({ line: l, may, chosen, onChoose, children }: ChipProps) {
    const { listeners, setNodeRef, isDragging } = useDraggable({ id: l.key, disabled: !may });
    return (
        <button
            ref={setNodeRef}
            {...(may ? listeners : {})}
            type="button"
            data-line={l.code}
            aria-pressed={chosen}
            onClick={() => onChoose(l.key)}
            title={`${l.title}, ${l.hours} h, by ${short(l.latest)}. ${l.problem ?? l.waste ?? ''}`}
            className={`min-h-8 max-w-full truncate lg:max-w-60 touch-manipulation rounded-lg border px-2 text-left ${chosen ? 'border-2 border-ink' : 'border-rule'} ${l.slot && l.problem ? 'bg-rust-wash' : 'bg-paper'} ${isDragging ? 'opacity-40' : ''}`}
        >
            {children}
        </button>
    );
}

export function Chips({
    lines,
    may,
    chosen,
    onChoose,
}: {
    lines: Line[];
    may: boolean;
    chosen: string | null;
    onChoose: (key: string) => void;
}) {
    return (
        <ul className="flex flex-wrap gap-1.5">
            {lines.map((l) => (
                <li key={l.key}>
                    <Chip line={l} may={may} chosen={chosen === l.key} onChoose={onChoose}>
                        {l.slot && l.problem && <State state="stop" word="" />}
                        <span className="font-mono text-sm">{l.code}</span> {l.title}{' '}
                        <span className="text-sm text-soft">{l.hours} h</span>
                    </Chip>
                    {!l.slot && l.problem && <p className="px-1 text-sm text-soft">{l.problem}</p>}
                </li>
            ))}
        </ul>
    );
}
