import { NavLink } from 'react-router';
import { useMoment } from '../api/hooks';
import { rooms } from './rooms';

/** The rooms, and what waits for oneself in each. */
export function RoomList() {
    const waiting = (useMoment().data?.waiting ?? {}) as Record<string, number>;
    return (
        <nav
            className="sticky top-0 w-[132px] shrink-0 self-start border-r border-rule pt-3 min-h-[calc(100vh-2.75rem)]"
            aria-label="Rooms"
        >
            {rooms.map((r, i) => (
                <NavLink
                    key={r.path}
                    to={r.path}
                    title={r.about}
                    className={({ isActive }) =>
                        `flex h-9 items-center justify-between border-l-[5px] pointer-coarse:h-12 pr-3 pl-3.5 ${isActive ? 'border-spruce font-bold' : 'border-transparent text-soft hover:text-ink'} ${i === 7 ? 'mt-4' : ''}`
                    }
                >
                    {r.name}
                    <span className="font-mono text-sm font-normal">{waiting[r.path.slice(1)] ?? ''}</span>
                </NavLink>
            ))}
        </nav>
    );
}
