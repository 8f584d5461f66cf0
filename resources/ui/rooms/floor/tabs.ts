export const floorTabs = [
    { to: '/floor', name: 'Cards', end: true },
    { to: '/floor/line', name: 'Line' },
    { to: '/floor/limits', name: 'Exceeded limits' },
    { to: '/floor/registers', name: 'Safing registers' },
] as const;
