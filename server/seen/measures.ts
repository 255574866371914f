import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client'

/** What is measured of this process, as Prometheus reads it. */
export const registry = new Registry()
collectDefaultMetrics({ register: registry, prefix: 'eldrin_' })

/** Seconds; a request that plans takes one or two. */
const BUCKETS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10]

export const answered = new Histogram({
  name: 'eldrin_answer_seconds',
  help: 'How long a request took, by route and status',
  labelNames: ['method', 'route', 'status'],
  buckets: BUCKETS,
  registers: [registry],
})
export const posted = new Counter({
  name: 'eldrin_events_recorded_total',
  help: 'Events written into logs',
  registers: [registry],
})
export const streams = new Gauge({
  name: 'eldrin_streams_open',
  help: 'Open streams of news',
  registers: [registry],
})
export const outbox = new Histogram({
  name: 'eldrin_outbox_age_seconds',
  help: 'How long ago the oldest act of a posting was done',
  buckets: [1, 5, 30, 120, 600, 3600, 21_600, 86_400, 259_200],
  registers: [registry],
})

/** Measures the connections to the records whenever somebody reads. */
export function measurePool(pool: { totalCount: number; idleCount: number; waitingCount: number }): void {
  new Gauge({
    name: 'eldrin_pool_connections',
    help: 'Connections to the records: all, idle, and requests that wait for one',
    labelNames: ['which'],
    registers: [registry],
    collect() {
      this.set({ which: 'all' }, pool.totalCount)
      this.set({ which: 'idle' }, pool.idleCount)
      this.set({ which: 'waiting' }, pool.waitingCount)
    },
  })
}
