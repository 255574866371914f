/** When the clock of the tests begins, in ms since 1970: a Monday morning. */
export const BEGINS_MS: number
/** How a clock stands: ahead of where it begins, in ms; whether it runs from there. */
export interface ClockStand {
  aheadMs?: number
  runs?: boolean
}
/** Sets this process's clock. */
export function setClock(how: ClockStand): void
