export const deferralTabs = [
    { to: '/deferrals', name: 'Carried', end: true },
    { to: '/deferrals/sectors', name: 'Sectors' },
    { to: '/deferrals/reports', name: 'Crew reports' },
    { to: '/deferrals/reliability', name: 'Reliability' },
    { to: '/deferrals/reminders', name: 'Reminders' },
] as const;
