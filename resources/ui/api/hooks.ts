import { keepPreviousData, queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { api, type Failure, type Schemas, take } from './client';
import { useConnected } from './connection';
import { type Affects, askWho, keys, readAnew } from './keys';

export const useMe = () =>
    useQuery<Schemas['Me'], Failure>({
        queryKey: keys.me,
        queryFn: () => take(api.GET('/api/me')),
        retry: false,
        staleTime: Number.POSITIVE_INFINITY,
    });
export function useMoment() {
    // Asked more often while nothing answers, so that it is seen soon when something does.
    const connected = useConnected();
    return useQuery<Schemas['Moment'], Failure>({
        queryKey: keys.moment,
        queryFn: () => take(api.GET('/api/moment')),
        refetchInterval: connected ? 60_000 : 4_000,
    });
}
export const useSince = () =>
    useQuery<Schemas['SinceView'], Failure>({ queryKey: keys.since, queryFn: () => take(api.GET('/api/since')) });
export const useFleet = () =>
    useQuery<Schemas['FleetView'], Failure>({ queryKey: keys.fleet, queryFn: () => take(api.GET('/api/fleet')) });
export const useAircraft = (mark: string) =>
    useQuery<Schemas['AircraftView'], Failure>({
        queryKey: keys.aircraft(mark),
        queryFn: () => take(api.GET('/api/fleet/{mark}', { params: { path: { mark } } })),
    });
export const useHistory = (mark: string) =>
    useQuery<Schemas['HistoryView'], Failure>({
        queryKey: keys.history(mark),
        queryFn: () => take(api.GET('/api/fleet/{mark}/history', { params: { path: { mark } } })),
    });
export const useDueList = (days: number) =>
    useQuery<Schemas['DueListView'], Failure>({
        queryKey: keys.due(days),
        queryFn: () => take(api.GET('/api/due', { params: { query: { days } } })),
        placeholderData: (old) => old,
    });
export const useStagger = (query: { weeks: number; fleet?: string; task?: number }) =>
    useQuery<Schemas['StaggerRoom'], Failure>({
        queryKey: keys.stagger(query),
        queryFn: () => take(api.GET('/api/stagger', { params: { query } })),
        placeholderData: (old) => old,
    });
export const useBottles = () =>
    useQuery<Schemas['BottlesView'], Failure>({ queryKey: keys.bottles, queryFn: () => take(api.GET('/api/bottles')) });
export const useStored = () =>
    useQuery<Schemas['StoredView'][], Failure>({
        queryKey: keys.components,
        queryFn: () => take(api.GET('/api/components')),
    });
export const useCalendarLinks = () =>
    useQuery<Schemas['CalendarLinkView'][], Failure>({
        queryKey: keys.calendarLinks,
        queryFn: () => take(api.GET('/api/calendar-links')),
    });
export const useProgramme = (type: string) =>
    useQuery<Schemas['ProgrammeRoom'], Failure>({
        queryKey: keys.programme(type),
        queryFn: () => take(api.GET('/api/library/programmes/{type}', { params: { path: { type } } })),
    });
export const useCardTemplate = (type: string, code: string) =>
    useQuery<Schemas['CardRoom'], Failure>({
        queryKey: keys.template(type, code),
        queryFn: () => take(api.GET('/api/library/cards/{type}/{code}', { params: { path: { type, code } } })),
    });
export const useCardChoices = (type: string) =>
    useQuery<Schemas['CardChoices'], Failure>({
        queryKey: keys.cardChoices(type),
        queryFn: () => take(api.GET('/api/library/card-choices/{type}', { params: { path: { type } } })),
    });
export const useCardChanges = (type: string, code: string, from: number, to: number) =>
    useQuery<Schemas['CardChange'][], Failure>({
        queryKey: keys.cardChanges(type, code, from, to),
        queryFn: () =>
            take(
                api.GET('/api/library/card-versions/{type}/{from}/{to}/{code}', {
                    params: { path: { type, code, from, to } },
                }),
            ),
    });
export const useVisits = () =>
    useQuery<Schemas['VisitsView'], Failure>({ queryKey: keys.visits, queryFn: () => take(api.GET('/api/visits')) });
export const useVisit = (id: number) =>
    useQuery<Schemas['VisitView'], Failure>({
        queryKey: keys.visit(id),
        queryFn: () => take(api.GET('/api/visits/{id}', { params: { path: { id } } })),
    });
export const useVisitMore = (id: number) =>
    useQuery<Schemas['MoreView'], Failure>({
        queryKey: keys.visitMore(id),
        queryFn: () => take(api.GET('/api/visits/{id}/more', { params: { path: { id } } })),
    });
export const useBoard = (id: number) =>
    useQuery<Schemas['BoardView'], Failure>({
        queryKey: keys.board(id),
        queryFn: () => take(api.GET('/api/visits/{id}/board', { params: { path: { id } } })),
        refetchInterval: 60_000,
    });
export const useWindow = (id: number) =>
    useQuery<Schemas['WindowView'], Failure>({
        queryKey: keys.window(id),
        queryFn: () => take(api.GET('/api/visits/{id}/window', { params: { path: { id } } })),
    });
export const useProgress = (id: number) =>
    useQuery<Schemas['ProgressView'], Failure>({
        queryKey: keys.progress(id),
        queryFn: () => take(api.GET('/api/visits/{id}/progress', { params: { path: { id } } })),
    });
export const useSeasonKept = (days: number) =>
    useQuery<Schemas['SeasonView'], Failure>({
        queryKey: keys.season(days),
        queryFn: () => take(api.GET('/api/season', { params: { query: { days } } })),
        staleTime: Number.POSITIVE_INFINITY,
        gcTime: 0,
    });
export const useBays = () =>
    useQuery<Schemas['BaysView'], Failure>({ queryKey: keys.bays, queryFn: () => take(api.GET('/api/bays')) });
export const usePhases = (query: { type?: string; months: number; phases: number }) =>
    useQuery<Schemas['PhasesView'], Failure>({
        queryKey: keys.phases(query),
        queryFn: () => take(api.GET('/api/phases', { params: { query } })),
        placeholderData: (old) => old,
    });
export const useFloor = () =>
    useQuery<Schemas['FloorView'], Failure>({ queryKey: keys.floor, queryFn: () => take(api.GET('/api/floor')) });
export const useDamage = (mark: string, card: number | null) =>
    useQuery<Schemas['DamageMapView'], Failure>({
        queryKey: keys.damage(mark, card),
        queryFn: () =>
            take(api.GET('/api/damage/{mark}', { params: { path: { mark }, query: card === null ? {} : { card } } })),
    });
export const useExceedances = () =>
    useQuery<Schemas['ExceedancesView'], Failure>({
        queryKey: keys.exceedances,
        queryFn: () => take(api.GET('/api/exceedances')),
    });
export const useListed = (type: string) =>
    useQuery<Schemas['ListedRoom'], Failure>({
        queryKey: keys.listed(type),
        queryFn: () => take(api.GET('/api/library/listed/{type}', { params: { path: { type } } })),
    });
export const useFigures = (type: string) =>
    useQuery<Schemas['FigureView'][], Failure>({
        queryKey: keys.figures(type),
        queryFn: () => take(api.GET('/api/library/figures/{type}', { params: { path: { type } } })),
    });
export const useFollows = () =>
    useQuery<Schemas['FollowsRoom'], Failure>({
        queryKey: keys.follows,
        queryFn: () => take(api.GET('/api/library/follows')),
    });
export const useLine = () =>
    useQuery<Schemas['LineView'], Failure>({ queryKey: keys.line, queryFn: () => take(api.GET('/api/line')) });
export const useLineSign = (id: number) =>
    useQuery<Schemas['LineSignView'], Failure>({
        queryKey: [...keys.line, id],
        queryFn: () => take(api.GET('/api/line/{id}', { params: { path: { id } } })),
    });
export const cardQuery = (id: number) =>
    queryOptions<Schemas['CardView'], Failure>({
        queryKey: keys.card(id),
        queryFn: () => take(api.GET('/api/cards/{id}', { params: { path: { id } } })),
    });
export const useCard = (id: number) =>
    useQuery({
        ...cardQuery(id),
        // Who and what holds a step changes while somebody waits for it.
        refetchInterval: 15_000,
    });
export const findingQuery = (id: number) =>
    queryOptions<Schemas['FindingDetail'], Failure>({
        queryKey: keys.finding(id),
        queryFn: () => take(api.GET('/api/findings/{id}', { params: { path: { id } } })),
    });
export const useFinding = (id: number) => useQuery(findingQuery(id));
export const useRegisters = () =>
    useQuery<Schemas['RegistersView'], Failure>({
        queryKey: keys.registers,
        queryFn: () => take(api.GET('/api/registers')),
    });
export const registerQuery = (mark: string) =>
    queryOptions<Schemas['RegisterView'], Failure>({
        queryKey: keys.register(mark),
        queryFn: () => take(api.GET('/api/registers/{mark}', { params: { path: { mark } } })),
    });
export const useRegister = (mark: string) => useQuery({ ...registerQuery(mark), refetchInterval: 60_000 });
export const useShift = (query: { base?: string; date?: string; shift?: string }) =>
    useQuery<Schemas['ShiftView'], Failure>({
        queryKey: keys.shift(query),
        queryFn: () => take(api.GET('/api/crew/shift', { params: { query } })),
        placeholderData: (old) => old,
    });
export const useManual = (code: string) =>
    useQuery<Schemas['ManualRoom'], Failure>({
        queryKey: keys.manual(code),
        queryFn: () => take(api.GET('/api/library/manuals/{code}', { params: { path: { code } } })),
    });
export const useToolRoom = (code: string) =>
    useQuery<Schemas['ToolRoom'], Failure>({
        queryKey: keys.tool(code),
        queryFn: () => take(api.GET('/api/tools/{code}', { params: { path: { code } } })),
    });
export const usePart = (number: string) =>
    useQuery<Schemas['PartRoom'], Failure>({
        queryKey: keys.part(number),
        queryFn: () => take(api.GET('/api/parts/{number}', { params: { path: { number } } })),
    });
export const useBench = () =>
    useQuery<Schemas['BenchView'], Failure>({ queryKey: keys.bench, queryFn: () => take(api.GET('/api/bench')) });
export const useAsOf = (query: { day?: string; base?: string }) =>
    useQuery<Schemas['AsOfView'], Failure>({
        queryKey: keys.asOf(query),
        queryFn: () => take(api.GET('/api/as-of', { params: { query } })),
        placeholderData: keepPreviousData,
    });
export const usePastTests = (query: { mark?: string; system?: string; before?: number }) =>
    useQuery<Schemas['PastTestsView'], Failure>({
        queryKey: keys.pastTests(query),
        queryFn: () => take(api.GET('/api/bench/attempts', { params: { query } })),
        placeholderData: keepPreviousData,
    });
export const useAttempt = (id: number) =>
    useQuery<Schemas['AttemptDetail'], Failure>({
        queryKey: keys.attempt(id),
        queryFn: () => take(api.GET('/api/bench/attempts/{id}', { params: { path: { id } } })),
    });
export const useWalk = (finding: number) =>
    useQuery<Schemas['WalkView'], Failure>({
        queryKey: keys.walk(finding),
        queryFn: () => take(api.GET('/api/bench/findings/{id}/walk', { params: { path: { id: finding } } })),
    });
export const useTrends = () =>
    useQuery<Schemas['TrendsRoom'], Failure>({
        queryKey: keys.trends,
        queryFn: () => take(api.GET('/api/bench/trends')),
    });
export const useTrend = (reading: number) =>
    useQuery<Schemas['TrendView'], Failure>({
        queryKey: keys.trend(reading),
        queryFn: () => take(api.GET('/api/bench/trends/{id}', { params: { path: { id: reading } } })),
    });
export const useRiggings = () =>
    useQuery<Schemas['RiggingsRoom'], Failure>({
        queryKey: keys.riggings,
        queryFn: () => take(api.GET('/api/bench/riggings')),
    });
export const useRigging = (id: number) =>
    useQuery<Schemas['RiggingView'], Failure>({
        queryKey: keys.rigging(id),
        queryFn: () => take(api.GET('/api/bench/riggings/{id}', { params: { path: { id } } })),
    });
/** What the points of a step read before; asked once, as the step is opened. */
export const useBeside = (card: number, no: number) =>
    useQuery<Schemas['BesideView'][], Failure>({
        queryKey: keys.beside(card, no),
        queryFn: () => take(api.GET('/api/cards/{id}/steps/{no}/beside', { params: { path: { id: card, no } } })),
        staleTime: Number.POSITIVE_INFINITY,
        enabled: card > 0,
    });
export const useRecordings = () =>
    useQuery<Schemas['RecordingsRoom'], Failure>({
        queryKey: keys.recordings,
        queryFn: () => take(api.GET('/api/bench/recordings')),
    });
export const useRecording = (id: number) =>
    useQuery<Schemas['RecordingView'], Failure>({
        queryKey: keys.recording(id),
        queryFn: () => take(api.GET('/api/bench/recordings/{id}', { params: { path: { id } } })),
    });
/** A stretch of a recording, thinned to what can be drawn; the last one stays until the next is there. */
export const useSamples = (id: number, signals: string[], from: number, to: number) => {
    const query = { signals: signals.join(','), from, to, many: 1000 };
    return useQuery<Schemas['ThinnedView'], Failure>({
        queryKey: keys.samples(id, query),
        queryFn: () => take(api.GET('/api/bench/recordings/{id}/samples', { params: { path: { id }, query } })),
        placeholderData: keepPreviousData,
    });
};
export const useTrees = () =>
    useQuery<Schemas['TreesRoom'], Failure>({
        queryKey: keys.trees,
        queryFn: () => take(api.GET('/api/library/trees')),
    });
export const useCrew = () =>
    useQuery<Schemas['CrewView'], Failure>({ queryKey: keys.crew, queryFn: () => take(api.GET('/api/crew')) });
export const usePerson = (id: number) =>
    useQuery<Schemas['PersonRoom'], Failure>({
        queryKey: keys.person(id),
        queryFn: () => take(api.GET('/api/people/{id}', { params: { path: { id } } })),
    });
export const useReminders = () =>
    useQuery<Schemas['RemindersView'], Failure>({
        queryKey: keys.reminders,
        queryFn: () => take(api.GET('/api/reminders')),
        refetchInterval: 10_000,
    });
export const useReports = () =>
    useQuery<Schemas['ReportsView'], Failure>({ queryKey: keys.reports, queryFn: () => take(api.GET('/api/reports')) });
export const useReport = (id: number) =>
    useQuery<Schemas['ReportPage'], Failure>({
        queryKey: keys.report(id),
        queryFn: () => take(api.GET('/api/reports/{id}', { params: { path: { id } } })),
    });
/** What is counted, by what, over how many days. */
export type Counted = {
    what: 'reports' | 'findings' | 'deferrals' | 'removals';
    by: 'system' | 'type' | 'tail' | 'part';
    days: number;
};
export const useReliability = (query: Counted) =>
    useQuery<Schemas['ReliabilityView'], Failure>({
        queryKey: keys.reliability(query),
        queryFn: () => take(api.GET('/api/reliability', { params: { query } })),
        placeholderData: (old) => old,
    });
export const useReliabilityRows = (query: Counted & { key: string }) =>
    useQuery<Schemas['EventView'][], Failure>({
        queryKey: keys.reliabilityRows(query),
        queryFn: () => take(api.GET('/api/reliability/rows', { params: { query } })),
    });
export const useSectors = (days: number) =>
    useQuery<Schemas['SectorsView'], Failure>({
        queryKey: keys.sectors(days),
        queryFn: () => take(api.GET('/api/sectors', { params: { query: { days } } })),
        placeholderData: (old) => old,
    });
export const useSwap = (mark: string, date: string) =>
    useQuery<Schemas['SwapView'], Failure>({
        queryKey: keys.swap(mark, date),
        queryFn: () => take(api.POST('/api/sectors/swap/preview', { body: { mark, date } })),
    });
export const useDeferral = (id: number) =>
    useQuery<Schemas['DeferralPage'], Failure>({
        queryKey: keys.deferral(id),
        queryFn: () => take(api.GET('/api/deferrals/{id}', { params: { path: { id } } })),
    });
export const useDeferOptions = (id: number) =>
    useQuery<Schemas['OptionsView'], Failure>({
        queryKey: keys.deferOptions(id),
        queryFn: () => take(api.GET('/api/findings/{id}/options', { params: { path: { id } } })),
    });
export const useDeferrals = (page: number) =>
    useQuery<Schemas['DeferralsView'], Failure>({
        queryKey: keys.carried(page),
        queryFn: () => take(api.GET('/api/deferrals', { params: { query: { page } } })),
        placeholderData: (old) => old,
    });
export const useReleases = (find: string) =>
    useQuery<Schemas['ReleasesView'], Failure>({
        queryKey: keys.releases(find),
        queryFn: () => take(api.GET('/api/release', { params: { query: { find } } })),
        placeholderData: (old) => old,
    });
export const useRelease = (id: number) =>
    useQuery<Schemas['ReleaseView'], Failure>({
        queryKey: keys.release(id),
        queryFn: () => take(api.GET('/api/release/{id}', { params: { path: { id } } })),
    });
export const useLibrary = () =>
    useQuery<Schemas['LibraryView'], Failure>({ queryKey: keys.library, queryFn: () => take(api.GET('/api/library')) });
export const useStores = () =>
    useQuery<Schemas['StoresView'], Failure>({ queryKey: keys.stores, queryFn: () => take(api.GET('/api/stores')) });

/** Asks what a change would do: nothing is saved by it, and nothing on the screen is read anew. */
export function useLook<I, O>(ask: (input: I) => Promise<O>, failed?: (error: Failure) => void) {
    const client = useQueryClient();
    return useMutation<O, Failure, I>({
        mutationFn: ask,
        onError: (e) => {
            failed?.(e);
            if (e.status === 409) {
                void client.invalidateQueries({ queryKey: keys.visits });
            }
            if (e.status === 401) {
                askWho(client);
            }
        },
    });
}

/**
 * Sends a change. The same body sent again after a lost connection carries the same key, so the server works it once;
 * what it affects is read anew afterwards: everything, unless it says otherwise.
 */
export function useSend<I, O>(
    send: (input: I, headers: Record<string, string>) => Promise<O>,
    done?: (out: O) => void,
    { failed, affects = 'everything' }: { failed?: (error: Failure, input: I) => void; affects?: Affects } = {},
) {
    const client = useQueryClient();
    const last = useRef({ body: '', key: '' });
    return useMutation<O, Failure, I>({
        mutationFn: (input) => {
            const body = JSON.stringify(input);
            if (last.current.body !== body) {
                last.current = { body, key: crypto.randomUUID() };
            }
            return send(input, { 'Idempotency-Key': last.current.key });
        },
        onSuccess: (out) => {
            last.current = { body: '', key: '' };
            done?.(out);
            readAnew(client, affects);
        },
        onError: (e, input) => {
            failed?.(e, input);
            if (e.status !== 0) {
                last.current = { body: '', key: '' };
            }
            if (e.saved) {
                readAnew(client, affects);
            } else if (e.status === 409) {
                void client.invalidateQueries({ queryKey: keys.cards });
                void client.invalidateQueries({ queryKey: keys.visits });
            }
            if (e.status === 401) {
                askWho(client);
            }
        },
    });
}
