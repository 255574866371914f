const DAY_MS = 86_400_000

/** The moment that is so many days from now, by this process's clock; before now where they are negative. */
export const daysFromNow = (days: number): Date => new Date(Date.now() + days * DAY_MS)
