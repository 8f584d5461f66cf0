/** How bad a finding is. */
export const severities = [
    { value: 'minor', name: 'minor' },
    { value: 'major', name: 'major' },
    { value: 'critical', name: 'critical' },
] as const;
