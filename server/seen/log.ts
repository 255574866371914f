import pino from 'pino'

/**
 * What this process says of itself, a line of JSON each. `ELDRIN_LOG` is the least that is said (`info` where it is left out);
 * nothing that somebody typed, and nobody's secret, is in it.
 */
export const log = pino({
  level: process.env.ELDRIN_LOG ?? 'info',
  base: { pid: process.pid },
  timestamp: pino.stdTimeFunctions.isoTime,
})
