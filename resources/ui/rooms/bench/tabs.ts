export const benchTabs = [
    { to: '/bench', name: 'Tests', end: true },
    { to: '/bench/past', name: 'Past tests' },
    { to: '/bench/rigging', name: 'Rigging' },
    { to: '/bench/trends', name: 'Trends' },
    { to: '/bench/recordings', name: 'Recordings' },
] as const;
