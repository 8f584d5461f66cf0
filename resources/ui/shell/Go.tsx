import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { useFleet, useFloor, useMe, useVisits } from '../api/hooks';
import { benchTabs } from '../rooms/bench/tabs';
import { fleetViews } from '../rooms/fleet/views';
import { visitsViews } from '../rooms/visits/views';
import { rooms } from './rooms';

/** One box to go anywhere or do anything by typing. */
export function Go({ onClose, actions }: { onClose: () => void; actions: { name: string; run: () => void }[] }) {
    const navigate = useNavigate();
    const fleet = useFleet().data;
    const floor = useFloor().data;
    const visits = useVisits().data;
    const may = useMe().data?.may ?? [];
    const to = (path: string) => () => {
        onClose();
        void navigate(path);
    };
    const item = 'flex items-center justify-between rounded-md px-3 py-2 data-[selected=true]:bg-spruce-wash';
    const group =
        'px-1 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-soft';
    return (
        <Command.Dialog
            open
            onOpenChange={(o) => !o && onClose()}
            label="Go anywhere"
            overlayClassName="fixed inset-0 z-40 bg-veil"
            contentClassName="fixed top-[12vh] left-1/2 z-50 w-[40rem] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-xl border border-rule bg-paper"
        >
            <Command.Input
                placeholder="An aircraft, a card, a room, something to do"
                className="h-14 w-full border-b border-rule bg-sheet px-4 text-[1.1rem] outline-none placeholder:text-soft"
            />
            <Command.List className="max-h-[55vh] overflow-auto p-2">
                <Command.Empty className="p-4 text-soft">Nothing here goes by that name.</Command.Empty>
                <Command.Group heading="Do" className={group}>
                    {may.includes('bring') && (
                        <Command.Item className={item} onSelect={to('/library')}>
                            Bring in a programme or yesterday's flying
                        </Command.Item>
                    )}
                    {visitsViews.slice(1).map((v) => (
                        <Command.Item key={v.to} className={item} onSelect={to(v.to)}>
                            {v.name} <span className="text-soft">Visits</span>
                        </Command.Item>
                    ))}
                    {fleetViews.slice(1).map((v) => (
                        <Command.Item key={v.to} className={item} onSelect={to(v.to)}>
                            {v.name} <span className="text-soft">Fleet</span>
                        </Command.Item>
                    ))}
                    {benchTabs.map((v) => (
                        <Command.Item key={v.to} value={`bench ${v.name}`} className={item} onSelect={to(v.to)}>
                            {v.name} <span className="text-soft">Bench</span>
                        </Command.Item>
                    ))}
                    <Command.Item className={item} onSelect={to('/library/trees')}>
                        Fault trees <span className="text-soft">Library</span>
                    </Command.Item>
                    {actions.map((a) => (
                        <Command.Item
                            key={a.name}
                            className={item}
                            onSelect={() => {
                                onClose();
                                a.run();
                            }}
                        >
                            {a.name}
                        </Command.Item>
                    ))}
                </Command.Group>
                <Command.Group heading="Aircraft" className={group}>
                    {fleet?.rows.map((r) => (
                        <Command.Item key={r.mark} className={item} onSelect={to(`/fleet/${r.mark}`)}>
                            <b className="font-mono">{r.mark}</b>
                            <span className="text-soft">{r.stop?.title}</span>
                        </Command.Item>
                    ))}
                </Command.Group>
                <Command.Group heading="Cards" className={group}>
                    {floor?.cards.map((c) => (
                        <Command.Item
                            key={c.id}
                            value={`${c.number} ${c.mark} ${c.title}`}
                            keywords={[`JORVEL CARD ${c.number}`]}
                            className={item}
                            onSelect={to(`/floor/${c.id}`)}
                        >
                            <span>
                                <b className="font-mono">{c.number}</b> {c.title}
                            </span>
                            <span className="text-soft">{c.mark}</span>
                        </Command.Item>
                    ))}
                </Command.Group>
                <Command.Group heading="Visits" className={group}>
                    {visits?.visits.map((v) => (
                        <Command.Item
                            key={`board-${v.id}`}
                            value={`board ${v.mark} ${v.title}`}
                            className={item}
                            onSelect={to(`/visits/${v.id}/board`)}
                        >
                            Board of {v.title} <span className="text-soft">{v.mark}</span>
                        </Command.Item>
                    ))}
                    {visits?.visits.map((v) => (
                        <Command.Item
                            key={v.id}
                            value={`visit ${v.mark} ${v.title}`}
                            className={item}
                            onSelect={to(`/visits/${v.id}`)}
                        >
                            {v.title} <span className="text-soft">{v.mark}</span>
                        </Command.Item>
                    ))}
                </Command.Group>
                <Command.Group heading="Rooms" className={group}>
                    {rooms.map((r) => (
                        <Command.Item key={r.path} className={item} onSelect={to(r.path)}>
                            {r.name} <span className="text-soft">{r.about}</span>
                        </Command.Item>
                    ))}
                </Command.Group>
            </Command.List>
        </Command.Dialog>
    );
}
