const loaded = `--import=${new URL('fixed-clock.mjs', import.meta.url).href}`

/** Has every process that is begun from here on, and those they begin, go by the clock of the tests. */
export function onFixedClock(): void {
  const had = process.env.NODE_OPTIONS ?? ''
  if (!had.includes(loaded)) process.env.NODE_OPTIONS = `${had} ${loaded}`.trim()
}
