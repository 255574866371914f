import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startApp } from '../support/app'
import { heldPort } from '../support/ports'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'

let database: TestDatabase
let app: RunningApp
let measures: string
beforeAll(async () => {
  database = await freshDatabase()
  const port = await heldPort()
  app = await startApp(database.url, undefined, { ELDRIN_METRICS_PORT: String(port), ELDRIN_PROXY: '1' })
  measures = `http://127.0.0.1:${port}`
})
afterAll(async () => {
  await app.kill()
  await database.drop()
})

describe('a process says of itself', () => {
  it('that it lives and is ready', async () => {
    for (const [what, answer] of [
      ['live', { live: true }],
      ['ready', { ready: true }],
    ] as const)
      expect(await (await fetch(`${app.base}/health/${what}`)).json()).toEqual(answer)
  })
  // Standard: the text format of Prometheus, version 0.0.4.
  it('how long it took to answer, by route and status, on a port of its own', async () => {
    await fetch(`${app.base}/api/clock`)
    await fetch(`${app.base}/api/jobs/${crypto.randomUUID()}/events`)
    const text = await (await fetch(measures)).text()
    expect(text).toMatch(/^eldrin_answer_seconds_count\{method="GET",route="\/api\/clock",status="200"\} 1$/m)
    expect(text).toMatch(
      /^eldrin_answer_seconds_count\{method="GET",route="\/api\/jobs\/:id\/events",status="404"\} 1$/m,
    )
    for (const name of ['eldrin_events_recorded_total', 'eldrin_streams_open', 'eldrin_outbox_age_seconds_count'])
      expect(text).toMatch(new RegExp(`^${name} \\d`, 'm'))
    expect(text).toMatch(/^eldrin_pool_connections\{which="all"\} \d/m)
  })
  it('which request it was, by the id that the caller gave or one of its own', async () => {
    const given = await fetch(`${app.base}/api/clock`, { headers: { 'x-request-id': 'asked-by-a-phone' } })
    expect(given.headers.get('x-request-id')).toBe('asked-by-a-phone')
    const odd = await fetch(`${app.base}/api/clock`, { headers: { 'x-request-id': '"><x>' } })
    expect(odd.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/)
  })
})

describe('a page', () => {
  it('runs no script but its own, each by its words', async () => {
    const policy = (await fetch(app.base)).headers.get('content-security-policy')!
    const scripts = policy.split('; ').find(line => line.startsWith('script-src'))!
    expect(scripts).not.toContain('unsafe')
    expect(scripts).toMatch(/^script-src 'self'( 'sha256-[\w+/=]+')+$/)
  })
  it('that came over TLS is never asked for without it again; one that did not says nothing of it', async () => {
    const over = (proto: string) => fetch(app.base, { headers: { 'x-forwarded-proto': proto } })
    expect((await over('https')).headers.get('strict-transport-security')).toBe('max-age=31536000')
    expect((await over('http')).headers.get('strict-transport-security')).toBeNull()
  })
})
