import { useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { rooms } from './rooms';

const typing = (t: EventTarget | null): boolean =>
    t instanceof HTMLElement && (t.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(t.tagName));

type Does = { go: () => void; help: () => void; night: () => void };

/** The keys that hold in every room, while nobody types and somebody is signed in. */
export function useShortcuts(on: boolean, latest: Does): void {
    const navigate = useNavigate();
    const does = useRef(latest);
    does.current = latest;
    useEffect(() => {
        let chord = false;
        const onKey = (e: KeyboardEvent) => {
            if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey || !on) {
                return;
            }
            const room = chord ? rooms.find((r) => r.key === e.key) : undefined;
            chord = e.key === 'g';
            if (room) {
                void navigate(room.path);
            } else if (e.key === '/') {
                e.preventDefault();
                does.current.go();
            } else if (e.key === '?') {
                does.current.help();
            } else if (e.key === 'n') {
                does.current.night();
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [navigate, on]);
}
