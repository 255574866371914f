import { afterAll, beforeAll, expect } from 'vitest'
import type { JobEvent } from '../../core/job'
import { forGarage } from '../../server/db/for-garage'
import { DemoMechanic } from '../../server/demo/play'
import { appendEvents } from '../../server/jobs/append'
import { startApp } from './app'
import type { RunningApp } from './app'
import { freshDatabase } from './database'
import type { TestDatabase } from './database'
import { garageId, newJobRequest, personId } from './requests'

/** The built server on a database of its own, for the tests of a file; what they ask of it. */
export function oneServer(env: Record<string, string> = {}) {
  let database: TestDatabase
  let app: RunningApp
  beforeAll(async () => {
    database = await freshDatabase()
    app = await startApp(database.url, undefined, env)
  })
  afterAll(async () => {
    await app?.kill()
    await database?.drop()
  })
  const call = async (method: string, path: string, body?: unknown, base = app.base) => {
    const response = await fetch(base + path, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const text = await response.text()
    return { status: response.status, text, headers: response.headers, json: () => JSON.parse(text) as never }
  }
  const log = (jobId: string) => forGarage(database.db, garageId).jobs.events(jobId)
  return {
    call,
    log,
    app: () => app,
    database: () => database,
    /** Opens a job and works it as far as a step, or to its end. */
    worked: async (
      until: string | null,
      change: Record<string, unknown> = {},
      after: (mechanic: DemoMechanic) => void = () => {},
    ) => {
      const request = newJobRequest({ odometerKm: null, ...change })
      expect((await call('POST', '/api/jobs', request)).status).toBe(201)
      const mechanic = new DemoMechanic(await log(request.id), personId, Date.parse(request.at))
      mechanic.workUntil(until)
      after(mechanic)
      await appendEvents(database.db, garageId, request.id, mechanic.events as JobEvent[])
      return request.id
    },
  }
}

/** Everything checked, broken in and handed over. */
export function handOver(mechanic: DemoMechanic): void {
  mechanic
    .checksMade()
    .write('break-in-set', { distanceKm: 640, writtenAs: '400 mi', source: 'Kit sheet', odometerKm: 1010 })
    .write('handed-over', { to: 'Somebody', odometerKm: 1010 }, 5)
    .write('odometer-read', { odometerKm: 1200 }, 60 * 48)
}
