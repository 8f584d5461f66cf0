export const benchTabs = [
    { to: '/bench', name: 'Tests', end: true },
    { to: '/bench/trends', name: 'Trends' },
    { to: '/bench/recordings', name: 'Recordings' },
] as const;
