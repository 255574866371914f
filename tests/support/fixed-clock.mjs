/**
 * The clock of every test and of every process it starts, loaded before anything else: it begins on a fixed Monday morning and stands
 * there until a test says otherwise. What the machine’s own date is, no test can find out.
 * A process that was begun with ELDRIN_CLOCK_LINE is told over its line to whoever began it.
 */
const RealDate = Date

/** Monday, 30 November 2026, ten in the morning in London: a garage that opens at eight is at work, and what tests tell of March is long ago. */
export const BEGINS_MS = RealDate.parse('2026-11-30T10:00:00Z')

/** How the clock stands: ahead of its beginning by so much, and, where it runs, since when by the process’s own count. */
const clock = (globalThis[Symbol.for('eldrin.clock')] ??= begin())

function begin() {
  const own = { aheadMs: 0, runsSinceMs: process.env.ELDRIN_CLOCK === 'runs' ? performance.now() : null }
  const now = () =>
    BEGINS_MS + own.aheadMs + (own.runsSinceMs === null ? 0 : Math.floor(performance.now() - own.runsSinceMs))
  globalThis.Date = new Proxy(RealDate, {
    construct: (target, given, as) => Reflect.construct(target, given.length > 0 ? given : [now()], as),
    apply: () => new RealDate(now()).toString(),
    get: (target, name) => (name === 'now' ? now : target[name]),
  })
  if (process.env.ELDRIN_CLOCK_LINE) {
    delete process.env.ELDRIN_CLOCK_LINE
    process.on('message', said => {
      setClock(said)
      process.send(said)
    })
    process.channel.unref()
  }
  return own
}

/**
 * Sets this process’s clock.
 * @param {{ aheadMs?: number, runs?: boolean }} how ahead of where it begins, in ms; whether it runs from there
 */
export function setClock({ aheadMs = 0, runs = false }) {
  Object.assign(clock, { aheadMs, runsSinceMs: runs ? performance.now() : null })
}
