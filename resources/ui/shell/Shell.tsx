import { useQueryClient } from '@tanstack/react-query';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { useLocation, useNavigationType } from 'react-router';
import { api, Failure, take } from '../api/client';
import { useMe } from '../api/hooks';
import { forgetReading } from '../api/kept';
import { useSendWaiting } from '../api/useQueue';
import { Button } from '../parts/Button';
import { Loading } from '../parts/Page';
import { Notices } from './Notices';
import { RoomList } from './RoomList';
import { rooms } from './rooms';
import { Shortcuts } from './Shortcuts';
import { SignIn } from './SignIn';
import { TopLine } from './TopLine';
import { useShortcuts } from './useShortcuts';
import { WaitingHere } from './WaitingHere';

const OwnSecrets = lazy(async () => ({ default: (await import('./OwnSecrets')).OwnSecrets }));
const Go = lazy(async () => ({ default: (await import('./Go')).Go }));

/** The frame of every room: who is here, what the clock says, where one can go. */
export function Shell({ children }: { children: ReactNode }) {
    const me = useMe();
    const client = useQueryClient();
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
    useShortcuts(signedIn, { go: () => setGo(true), help: () => setHelp(true), night: () => setNight((v) => !v) });

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
        <div className="min-h-screen has-data-fills:flex has-data-fills:h-screen has-data-fills:flex-col">
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
            <div className="flex has-data-fills:min-h-0 has-data-fills:flex-1 has-data-fills:overflow-clip">
                <RoomList />
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
            <Shortcuts open={help} onClose={() => setHelp(false)} />
        </div>
    );
}
