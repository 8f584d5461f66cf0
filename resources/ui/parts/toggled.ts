/** What is picked, with one more or one less. */
export const toggled = <T>(picked: T[], one: T): T[] =>
    picked.includes(one) ? picked.filter((p) => p !== one) : [...picked, one];
