import { useMoment } from '../api/hooks';

/** Where one is in time and place, who one is, and the way to everything else. */
export function TopLine({
    name,
    role,
    onGo,
    night,
    onNight,
    onHelp,
    onSecrets,
    onOut,
}: {
    name: string;
    role: string;
    onGo: () => void;
    night: boolean;
    onNight: () => void;
    onHelp: () => void;
    onSecrets: () => void;
    onOut: () => void;
}) {
    const moment = useMoment().data;
    const clock = moment ? new Date(moment.now) : null;
    const local =
        clock &&
        new Intl.DateTimeFormat('en-GB', {
            weekday: 'short',
            day: 'numeric',
            month: 'short',
            hour: '2-digit',
            minute: '2-digit',
            timeZone: moment?.zone,
        }).format(clock);
    return (
        <header className="flex h-11 items-center gap-4 border-b border-rule px-5">
            <span className="w-24 shrink-0 text-[1.15rem] font-bold">Jorvel</span>
            <button
                type="button"
                onClick={onGo}
                className="flex h-8 w-80 min-w-40 items-center justify-between rounded-lg border border-rule bg-sheet px-3 text-left text-soft"
            >
                <span className="truncate">Go to an aircraft, card, or do…</span>
                <kbd className="rounded border border-rule px-1.5 font-mono text-xs">/</kbd>
            </button>
            <p className="ml-auto truncate whitespace-nowrap">
                {moment && clock && (
                    <>
                        <span className="max-[1100px]:hidden">{moment.base} </span>
                        <b data-testid="clock">{local}</b> · {clock.toISOString().slice(11, 16)} UTC
                        <span className="max-[1100px]:hidden"> · {moment.shift}</span>
                    </>
                )}
            </p>
            <details className="relative shrink-0">
                <summary className="cursor-pointer list-none whitespace-nowrap">
                    <b data-testid="me">{name}</b>, {role} ▾
                </summary>
                <div className="absolute right-0 z-30 mt-2 grid w-48 rounded-lg border border-rule bg-sheet p-1 text-left">
                    {(
                        [
                            [night ? 'Day theme' : 'Night theme', onNight],
                            ['Shortcuts', onHelp],
                            ['My password and PIN', onSecrets],
                            ['Sign out', onOut],
                        ] as const
                    ).map(([label, run]) => (
                        <button
                            key={label}
                            type="button"
                            onClick={run}
                            className="min-h-10 rounded px-3 text-left hover:bg-shade"
                        >
                            {label}
                        </button>
                    ))}
                </div>
            </details>
        </header>
    );
}
