/** The same words, the first with a capital. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
