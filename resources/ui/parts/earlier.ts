/** A list with one of its entries a place up; the first stays. */
export const earlier = <T>(list: readonly T[], n: number): T[] =>
    list.map((one, i) => (n > 0 && i === n - 1 ? (list[n] ?? one) : n > 0 && i === n ? (list[n - 1] ?? one) : one));
