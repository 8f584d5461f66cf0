import { useMutation, useQueryClient } from '@tanstack/react-query';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { Link, NavLink, useLocation, useNavigate, useNavigationType } from 'react-router';
import { api, Failure, take } from '../api/client';
import { useMe, useMoment } from '../api/hooks';
import { forgetReading } from '../api/kept';
import { useSendWaiting } from '../api/useQueue';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { Loading } from '../parts/Page';
import { rooms } from './rooms';
import { SignIn } from './SignIn';
import { WaitingHere } from './WaitingHere';

const OwnSecrets = lazy(async () => ({ default: (await import('./OwnSecrets')).OwnSecrets }));
const Go = lazy(async () => ({ default: (await import('./Go')).Go }));

const typing = (t: EventTarget | null): boolean =>
    t instanceof HTMLElement && (t.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(t.tagName));

/** The frame of every room: who is here, what the clock says, where one can go. */
export function Shell({ children }: { children: ReactNode }) {
    const me = useMe();
    const client = useQueryClient();
    const navigate = useNavigate();
    const place = useLocation();
    const how = useNavigationType();
    const [go, setGo] = useState(false);
    const [help, setHelp] = useState(false);
    const [secrets, setSecrets] = useState(false);
    const [stays, setStays] = useState<string | null>(null);
    const [wasIn, setWasIn] = useState(false);
    const [night, setNight] = useState(() => localStorage.getItem('jorvel.theme') === 'night');
    // Without a connection nobody can say otherwise.
    const signedIn = me.data !== undefined && (!me.error || me.error.status === 0);
    useSendWaiting(signedIn ? me.data?.id : undefined);

    useEffect(() => {
        document.documentElement.dataset.theme = night ? 'night' : 'day';
        localStorage.setItem('jorvel.theme', night ? 'night' : 'day');
    }, [night]);
    useEffect(() => {
        if (signedIn) {
            setWasIn(true);
        }
    }, [signedIn]);
    useEffect(() => {
        const room = rooms.find((r) => place.pathname.startsWith(r.path));
        document.title = room ? `${room.name} · Jorvel` : 'Jorvel';
    }, [place.pathname]);
    // A page is read from its top, unless one goes back to where one was.
    // biome-ignore lint/correctness/useExhaustiveDependencies: only a new path begins a new page
    useEffect(() => {
        if (how === 'PUSH') {
            window.scrollTo(0, 0);
        }
    }, [place.pathname]);
    useEffect(() => {
        let chord = false;
        const onKey = (e: KeyboardEvent) => {
            if (typing(e.target) || e.ctrlKey || e.metaKey || e.altKey || !signedIn) {
                return;
            }
            const room = chord ? rooms.find((r) => r.key === e.key) : undefined;
            chord = e.key === 'g';
            if (room) {
                void navigate(room.path);
            } else if (e.key === '/') {
                e.preventDefault();
                setGo(true);
            } else if (e.key === '?') {
                setHelp(true);
            } else if (e.key === 'n') {
                setNight((v) => !v);
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [navigate, signedIn]);

    if (me.isPending) {
        return <Loading />;
    }
    if (!signedIn && !wasIn) {
        return <SignIn />;
    }
    const signOut = async () => {
        try {
            await take(api.POST('/api/sign-out'));
        } catch (e) {
            setStays(e instanceof Failure && e.status === 0 ? 'No connection' : 'The server failed');
            return;
        }
        client.clear();
        forgetReading();
        window.location.assign('/');
    };
    return (
        <div className="min-h-screen">
            {!signedIn && <SignIn over />}
            <TopLine
                name={me.data?.name ?? ''}
                role={me.data ? `${me.data.role} ${me.data.stamp}` : ''}
                onGo={() => setGo(true)}
                night={night}
                onNight={() => setNight((v) => !v)}
                onHelp={() => setHelp(true)}
                onSecrets={() => setSecrets(true)}
                onOut={() => void signOut()}
            />
            {me.data && <WaitingHere who={me.data.id} />}
            {signedIn && <Notices />}
            {stays && (
                <p className="noprint border-b border-rule bg-rust-wash px-6 py-2" role="alert">
                    {stays}: you are still signed in on this device. Sign out again when it is back, and do not leave
                    the device to others.
                </p>
            )}
            {me.data && !me.data.ownPin && (
                <div
                    className="noprint flex flex-wrap items-center gap-3 border-b border-rule bg-ochre-wash px-6 py-2"
                    role="status"
                >
                    Your PIN was given to you by somebody else, and signs nothing until you choose your own.
                    <Button className="min-h-12" onClick={() => setSecrets(true)}>
                        Choose my PIN
                    </Button>
                </div>
            )}
            {secrets && me.data && (
                <Suspense>
                    <OwnSecrets me={me.data} onClose={() => setSecrets(false)} />
                </Suspense>
            )}
            <div className="flex">
                <Rooms />
                {children}
            </div>
            {go && (
                <Suspense>
                    <Go
                        onClose={() => setGo(false)}
                        actions={[
                            { name: night ? 'Day theme' : 'Night theme', run: () => setNight((v) => !v) },
                            { name: 'My password and PIN', run: () => setSecrets(true) },
                            { name: 'Sign out', run: () => void signOut() },
                        ]}
                    />
                </Suspense>
            )}
            <Dialog open={help} onClose={() => setHelp(false)} title="Shortcuts">
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
        </div>
    );
}

/** What somebody must be told although they did not ask. */
function Notices() {
    const moment = useMoment().data;
    const client = useQueryClient();
    const seen = useMutation({
        mutationFn: (id: number) => take(api.POST('/api/notices/{id}/seen', { params: { path: { id } } })),
        onSuccess: (now) => client.setQueryData(['moment'], now),
    });
    return moment?.notices.map((n) => (
        <div
            key={n.id}
            className="noprint flex flex-wrap items-center gap-3 border-b border-rule bg-ochre-wash px-6 py-1"
            role="status"
            data-testid="notice"
        >
            <span className="flex-1">
                <span className="text-soft">{n.at}:</span> {n.said}{' '}
                {n.link !== null && (
                    <Link className="inline-flex min-h-12 items-center underline underline-offset-4" to={n.link}>
                        Open
                    </Link>
                )}
            </span>
            <Button className="min-h-12" disabled={seen.isPending} onClick={() => seen.mutate(n.id)}>
                Seen
            </Button>
        </div>
    ));
}

function TopLine({
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

function Rooms() {
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
