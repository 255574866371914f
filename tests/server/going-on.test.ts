import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { CONTRACT } from '../../contracts/version'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { incoming, newJobRequest } from '../support/requests'
import { call as ask, everythingIn } from '../support/wire'

let database: TestDatabase
let app: RunningApp
let jobId: string
beforeAll(async () => {
  database = await freshDatabase()
  app = await startApp(database.url)
  const request = newJobRequest()
  jobId = request.id
  expect((await call('POST', '/api/jobs', request)).status).toBe(201)
})
afterAll(async () => {
  await app.kill()
  await database.drop()
})

const call = (method: string, path: string, body?: unknown) => ask(app.base, method, path, body)
const everything = () => everythingIn(database)
const posting = (...events: unknown[]) => ({ events })

it('posts, answers again, and reads back', async () => {
  const event = incoming('note-added', { stepId: null, text: 'Through the wire' }) as { id: string }
  const first = await call('POST', `/api/jobs/${jobId}/events`, posting(event))
  expect(first.status).toBe(200)
  expect((await call('POST', `/api/jobs/${jobId}/events`, posting(event))).body).toEqual(first.body)
  const [{ seq }] = first.body.accepted as [{ seq: number }]
  const response = await fetch(`${app.base}/api/jobs/${jobId}/events?after=${seq - 1}`)
  expect(await response.json()).toMatchObject([{ id: event.id, seq }])
})

it('streams what is recorded, after what was missed', async () => {
  const abort = new AbortController()
  const response = await fetch(`${app.base}/api/jobs/${jobId}/stream?after=2`, { signal: abort.signal })
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let heard = ''
  const until = async (text: string) => {
    while (!heard.includes(text)) heard += (await reader.read()).value
  }
  await until('Through the wire')
  await call('POST', `/api/jobs/${jobId}/events`, posting(incoming('note-added', { stepId: null, text: 'Live' })))
  await until('"Live"')
  abort.abort()
})

describe('a device that goes on from where it was', () => {
  const eventsAfter = (after: number, last: string) =>
    call('GET', `/api/jobs/${jobId}/events?after=${after}&last=${last}`)

  it('is told when the log does not lead there', async () => {
    const [first, second] = (await call('GET', `/api/jobs/${jobId}/events`)).body as unknown as { id: string }[]
    expect((await eventsAfter(1, first!.id)).status).toBe(200)
    const { status, body } = await eventsAfter(1, second!.id)
    expect([status, body.data!.issues![0]!.path]).toEqual([409, 'last'])
    expect((await eventsAfter(5000, second!.id)).status).toBe(409)
  })
  it('is told so by the stream, too, also where the job is gone', async () => {
    for (const path of [`${jobId}/stream?after=1&last=elsewhere`, `${crypto.randomUUID()}/stream?after=1&last=x`]) {
      const stream = new AbortController()
      const response = await fetch(`${app.base}/api/jobs/${path}`, { signal: stream.signal })
      const reader = response.body!.getReader()
      let text = ''
      while (!text.includes('event: parted')) text += new TextDecoder().decode((await reader.read()).value)
      stream.abort()
      expect(text).not.toContain('job-opened')
    }
  })
})

describe('a page of another Eldrin', () => {
  const asking = (contract: number | string, path = '/api/clock') =>
    fetch(app.base + path, { headers: { 'x-eldrin-contract': String(contract) } })

  it('is understood one version back, and is told else which is the older', async () => {
    expect((await asking(CONTRACT)).status).toBe(200)
    expect((await asking(CONTRACT - 1)).status).toBe(200)
    for (const [contract, words] of [
      [CONTRACT - 2, 'newer'],
      [CONTRACT + 1, 'older'],
      ['none', 'newer'],
    ] as const) {
      const answer = await asking(contract)
      expect([answer.status, answer.headers.get('x-eldrin-contract')]).toEqual([426, String(CONTRACT)])
      expect(await answer.text()).toContain(
        `This server has an? ${words}`.replace('an?', words === 'older' ? 'an' : 'a'),
      )
    }
    expect((await fetch(`${app.base}/api/jobs/${jobId}/stream?after=0&contract=${CONTRACT + 1}`)).status).toBe(426)
  })
  it('changes nothing', async () => {
    const before = await everything()
    const response = await fetch(`${app.base}/api/jobs/${jobId}/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-eldrin-contract': String(CONTRACT + 1) },
      body: JSON.stringify(posting(incoming('note-added', { stepId: null, text: 'from tomorrow' }))),
    })
    expect(response.status).toBe(426)
    expect(await everything()).toBe(before)
  })
})
