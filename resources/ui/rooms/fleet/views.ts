/** The views of the room Fleet. */
export const fleetViews = [
    { to: '/fleet', name: 'Reach', end: true },
    { to: '/fleet/due', name: 'Due list' },
    { to: '/fleet/as-of', name: 'On a day' },
    { to: '/fleet/stagger', name: 'Stagger' },
    { to: '/fleet/bottles', name: 'Bottles' },
    { to: '/fleet/what-if', name: 'What if' },
    { to: '/fleet/calendar', name: 'Calendar' },
    { to: '/fleet/since', name: 'Since I was here' },
] as const;
