/** The rooms, in the order of the work. */
export const rooms = [
    { path: '/fleet', name: 'Fleet', key: 'f', about: 'what falls due' },
    { path: '/visits', name: 'Visits', key: 'v', about: 'checks planned into cards' },
    { path: '/crew', name: 'Crew', key: 'c', about: 'who works what' },
    { path: '/floor', name: 'Floor', key: 'l', about: 'the cards in work' },
    { path: '/bench', name: 'Bench', key: 'b', about: 'tests and rigging' },
    { path: '/deferrals', name: 'Deferrals', key: 'd', about: 'defects carried' },
    { path: '/release', name: 'Release', key: 'r', about: 'back to service' },
    { path: '/library', name: 'Library', key: 'i', about: 'programme, manuals, imports' },
    { path: '/stores', name: 'Stores', key: 's', about: 'tools and parts' },
    { path: '/practice', name: 'Practice', key: 'p', about: 'the trainer' },
] as const;
