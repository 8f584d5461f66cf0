import { Dialog } from '../parts/Dialog';
import { rooms } from './rooms';

/** The page of keys. */
export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
    return (
        <Dialog open={open} onClose={onClose} title="Shortcuts">
            <dl className="grid grid-cols-[7rem_1fr] gap-y-1.5">
                {[
                    ['/', 'go anywhere, do anything'],
                    ['?', 'this page'],
                    ['n', 'day or night theme'],
                    ...rooms.map((r) => [`g then ${r.key}`, r.name]),
                    ['j, k', 'next, previous aircraft in Fleet'],
                    ['Enter', 'open; keep a reading; confirm a step'],
                    ['Space', 'count one more stroke or turn'],
                    ['p', 'plan the chosen aircraft'],
                    ['v', 'make a visit: of what stops the chosen aircraft, or of the chosen items'],
                ].map(([keys, what]) => (
                    <div key={keys} className="contents">
                        <dt className="font-mono">{keys}</dt>
                        <dd>{what}</dd>
                    </div>
                ))}
            </dl>
        </Dialog>
    );
}
