export const crewTabs = [
    { to: '/crew', name: 'People and what lapses', end: true },
    { to: '/crew/shift', name: 'A shift' },
] as const;
