/** How a row looks that is chosen by a press: the one in hand, and the others. */
export const row = (on: boolean): string =>
    `w-full items-center rounded-lg border px-2 text-left ${
        on ? 'border-ink bg-sheet font-semibold' : 'border-transparent hover:bg-sheet'
    }`;
