import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { Failure } from './api/client';
import { keepReading } from './api/kept';
import { askWho, keys } from './api/keys';
import { Loading } from './parts/Page';
import { Boundary, Nowhere } from './shell/Boundary';
import { Shell } from './shell/Shell';
import './app.css';

const room = <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) =>
    lazy(async () => ({ default: (await load())[name] }));

const Fleet = room(() => import('./rooms/fleet/Fleet'), 'Fleet');
const Aircraft = room(() => import('./rooms/fleet/Aircraft'), 'Aircraft');
const DueList = room(() => import('./rooms/fleet/DueList'), 'DueList');
const AsOf = room(() => import('./rooms/fleet/AsOf'), 'AsOf');
const Since = room(() => import('./rooms/fleet/Since'), 'Since');
const Stagger = room(() => import('./rooms/fleet/Stagger'), 'Stagger');
const Bottles = room(() => import('./rooms/fleet/Bottles'), 'Bottles');
const WhatIf = room(() => import('./rooms/fleet/WhatIf'), 'WhatIf');
const Calendar = room(() => import('./rooms/fleet/Calendar'), 'Calendar');
const Visits = room(() => import('./rooms/visits/Visits'), 'Visits');
const Visit = room(() => import('./rooms/visits/Visit'), 'Visit');
const Board = room(() => import('./rooms/visits/Board'), 'Board');
const Window = room(() => import('./rooms/visits/Window'), 'Window');
const Progress = room(() => import('./rooms/visits/Progress'), 'Progress');
const Season = room(() => import('./rooms/visits/season/Season'), 'Season');
const Bays = room(() => import('./rooms/visits/Bays'), 'Bays');
const Phases = room(() => import('./rooms/visits/Phases'), 'Phases');
const Crew = room(() => import('./rooms/crew/Crew'), 'Crew');
const Person = room(() => import('./rooms/crew/Person'), 'Person');
const Floor = room(() => import('./rooms/floor/Floor'), 'Floor');
const Registers = room(() => import('./rooms/floor/Register'), 'Registers');
const Register = room(() => import('./rooms/floor/Register'), 'Register');
const Finding = room(() => import('./rooms/floor/Finding'), 'Finding');
const Shift = room(() => import('./rooms/crew/Shift'), 'Shift');
const Manual = room(() => import('./rooms/library/Manual'), 'Manual');
const Parts = room(() => import('./rooms/stores/Parts'), 'Parts');
const Part = room(() => import('./rooms/stores/Part'), 'Part');
const DamageMap = room(() => import('./rooms/floor/DamageMap'), 'DamageMap');
const Limits = room(() => import('./rooms/floor/Limits'), 'Limits');
const Line = room(() => import('./rooms/floor/Line'), 'Line');
const Units = room(() => import('./rooms/stores/Units'), 'Units');
const Out = room(() => import('./rooms/stores/Out'), 'Out');
const Tool = room(() => import('./rooms/stores/Tool'), 'Tool');
const Card = room(() => import('./rooms/floor/Card'), 'Card');
const Bench = room(() => import('./rooms/bench/Bench'), 'Bench');
const PastTests = room(() => import('./rooms/bench/PastTests'), 'PastTests');
const Attempt = room(() => import('./rooms/bench/Attempt'), 'Attempt');
const FaultWalk = room(() => import('./rooms/bench/Walk'), 'FaultWalk');
const Riggings = room(() => import('./rooms/bench/rigging/Riggings'), 'Riggings');
const Rigging = room(() => import('./rooms/bench/rigging/Rigging'), 'Rigging');
const Trends = room(() => import('./rooms/bench/Trends'), 'Trends');
const Trend = room(() => import('./rooms/bench/Trend'), 'Trend');
const Recordings = room(() => import('./rooms/bench/Recordings'), 'Recordings');
const Recording = room(() => import('./rooms/bench/Recording'), 'Recording');
const Trees = room(() => import('./rooms/library/Trees'), 'Trees');
const Deferrals = room(() => import('./rooms/deferrals/Deferrals'), 'Deferrals');
const Deferral = room(() => import('./rooms/deferrals/Deferral'), 'Deferral');
const Reports = room(() => import('./rooms/deferrals/Reports'), 'Reports');
const Report = room(() => import('./rooms/deferrals/Report'), 'Report');
const Reminders = room(() => import('./rooms/deferrals/Reminders'), 'Reminders');
const Reliability = room(() => import('./rooms/deferrals/Reliability'), 'Reliability');
const Sectors = room(() => import('./rooms/deferrals/Sectors'), 'Sectors');
const Decide = room(() => import('./rooms/deferrals/Decide'), 'Decide');
const Releases = room(() => import('./rooms/release/Releases'), 'Releases');
const Release = room(() => import('./rooms/release/Release'), 'Release');
const Library = room(() => import('./rooms/library/Library'), 'Library');
const Listed = room(() => import('./rooms/library/Listed'), 'Listed');
const Figures = room(() => import('./rooms/library/Figures'), 'Figures');
const Follows = room(() => import('./rooms/library/Follows'), 'Follows');
const FollowEdit = room(() => import('./rooms/library/FollowEdit'), 'FollowEdit');
const LibraryCard = room(() => import('./rooms/library/LibraryCard'), 'LibraryCard');
const CardEdit = room(() => import('./rooms/library/CardEdit'), 'CardEdit');
const Programme = room(() => import('./rooms/library/Programme'), 'Programme');
const Stores = room(() => import('./rooms/stores/Stores'), 'Stores');
const Practice = room(() => import('./rooms/practice/Practice'), 'Practice');

const client: QueryClient = new QueryClient({
    // Without a connection a request fails at once and says so, rather than waiting unseen.
    defaultOptions: {
        mutations: { networkMode: 'always' },
        queries: {
            networkMode: 'always',
            staleTime: 5_000,
            retry: (n, e) => e instanceof Failure && e.status === 0 && n < 2,
        },
    },
    queryCache: new QueryCache({
        onError: (e, query) => {
            if (e instanceof Failure && e.status === 401 && query.queryKey[0] !== keys.me[0]) {
                askWho(client);
            }
        },
    }),
});

keepReading(client);
// A build that has started may reload once more for the next one.
window.addEventListener('load', () => setTimeout(() => sessionStorage.removeItem('jorvel.reloaded'), 10_000));
if (import.meta.env.PROD && 'serviceWorker' in navigator) {
    // After the page itself, so that it slows nothing down.
    window.addEventListener('load', () => void navigator.serviceWorker.register('/worker.js'));
}

createRoot(document.getElementById('app') as HTMLElement).render(
    <StrictMode>
        <QueryClientProvider client={client}>
            <BrowserRouter>
                <Shell>
                    <Boundary>
                        <Suspense fallback={<Loading />}>
                            <Routes>
                                <Route path="/" element={<Navigate to="/fleet" replace />} />
                                <Route path="/fleet" element={<Fleet />} />
                                <Route path="/fleet/due" element={<DueList />} />
                                <Route path="/fleet/as-of" element={<AsOf />} />
                                <Route path="/fleet/since" element={<Since />} />
                                <Route path="/fleet/stagger" element={<Stagger />} />
                                <Route path="/fleet/bottles" element={<Bottles />} />
                                <Route path="/fleet/what-if" element={<WhatIf />} />
                                <Route path="/fleet/calendar" element={<Calendar />} />
                                <Route path="/fleet/:mark" element={<Aircraft />} />
                                <Route path="/visits" element={<Visits />} />
                                <Route path="/visits/:id" element={<Visit />} />
                                <Route path="/visits/season" element={<Season />} />
                                <Route path="/visits/bays" element={<Bays />} />
                                <Route path="/visits/phases" element={<Phases />} />
                                <Route path="/visits/:id/window" element={<Window />} />
                                <Route path="/visits/:id/progress" element={<Progress />} />
                                <Route path="/visits/:id/board" element={<Board />} />
                                <Route path="/crew" element={<Crew />} />
                                <Route path="/crew/shift" element={<Shift />} />
                                <Route path="/crew/people/:id" element={<Person />} />
                                <Route path="/floor" element={<Floor />} />
                                <Route path="/floor/damage/:mark" element={<DamageMap />} />
                                <Route path="/floor/limits" element={<Limits />} />
                                <Route path="/floor/line" element={<Line />} />
                                <Route path="/floor/registers" element={<Registers />} />
                                <Route path="/floor/registers/:mark" element={<Register />} />
                                <Route path="/floor/findings/:id" element={<Finding />} />
                                <Route path="/floor/:id" element={<Card />} />
                                <Route path="/bench" element={<Bench />} />
                                <Route path="/bench/past" element={<PastTests />} />
                                <Route path="/bench/attempts/:id" element={<Attempt />} />
                                <Route path="/bench/findings/:id" element={<FaultWalk />} />
                                <Route path="/bench/rigging" element={<Riggings />} />
                                <Route path="/bench/rigging/:id" element={<Rigging />} />
                                <Route path="/bench/trends" element={<Trends />} />
                                <Route path="/bench/trends/:id" element={<Trend />} />
                                <Route path="/bench/recordings" element={<Recordings />} />
                                <Route path="/bench/recordings/:id" element={<Recording />} />
                                <Route path="/library/trees" element={<Trees />} />
                                <Route path="/deferrals" element={<Deferrals />} />
                                <Route path="/deferrals/reports" element={<Reports />} />
                                <Route path="/deferrals/reports/:id" element={<Report />} />
                                <Route path="/deferrals/reminders" element={<Reminders />} />
                                <Route path="/deferrals/reliability" element={<Reliability />} />
                                <Route path="/deferrals/sectors" element={<Sectors />} />
                                <Route path="/deferrals/decide/:id" element={<Decide />} />
                                <Route path="/deferrals/:id" element={<Deferral />} />
                                <Route path="/release" element={<Releases />} />
                                <Route path="/release/:id" element={<Release />} />
                                <Route path="/library" element={<Library />} />
                                <Route path="/library/cards/:type/*" element={<LibraryCard />} />
                                <Route path="/library/write/:type/*" element={<CardEdit />} />
                                <Route path="/library/listed/:type" element={<Listed />} />
                                <Route path="/library/figures/:type" element={<Figures />} />
                                <Route path="/library/follows" element={<Follows />} />
                                <Route path="/library/follows/:type/write" element={<FollowEdit />} />
                                <Route path="/library/programme/:type" element={<Programme />} />
                                <Route path="/stores" element={<Stores />} />
                                <Route path="/library/manuals/:code" element={<Manual />} />
                                <Route path="/stores/parts" element={<Parts />} />
                                <Route path="/stores/parts/:number" element={<Part />} />
                                <Route path="/stores/units" element={<Units />} />
                                <Route path="/stores/out" element={<Out />} />
                                <Route path="/stores/tools/:code" element={<Tool />} />
                                <Route path="/practice" element={<Practice />} />
                                <Route path="*" element={<Nowhere />} />
                            </Routes>
                        </Suspense>
                    </Boundary>
                </Shell>
            </BrowserRouter>
        </QueryClientProvider>
    </StrictMode>,
);
