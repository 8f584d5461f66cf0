export const floorTabs = [
    { to: '/floor', name: 'Cards', end: true },
    { to: '/floor/registers', name: 'Safing registers' },
] as const;
