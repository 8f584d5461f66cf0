/** The views of the room Visits, and of one visit. */
export const visitsViews = [
    { to: '/visits', name: 'Visits', end: true },
    { to: '/visits/season', name: 'Season' },
    { to: '/visits/bays', name: 'Bays' },
    { to: '/visits/phases', name: 'Cut a block' },
] as const;

export const visitViews = (id: number) =>
    [
        { to: `/visits/${id}`, name: 'Cards', end: true },
        { to: `/visits/${id}/board`, name: 'Board' },
        { to: `/visits/${id}/window`, name: 'Look and fix' },
        { to: `/visits/${id}/progress`, name: 'Progress' },
    ] as const;
