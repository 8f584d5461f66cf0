export const storeTabs = [
    { to: '/stores', name: 'Tools', end: true },
    { to: '/stores/parts', name: 'Parts' },
    { to: '/stores/units', name: 'Units' },
    { to: '/stores/out', name: 'What is out' },
] as const;
