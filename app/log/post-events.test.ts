import { afterEach, describe, expect, it, vi } from 'vitest'
import { postAsked, readAnswer, readAskedAnswer } from './post-events'

const no = (path: string) => JSON.stringify({ data: { issues: [{ path, reason: 'First the other.' }] } })

describe('an answer to a posting', () => {
  it('is a yes only with the numbers of the acts', () => {
    const accepted = [{ id: 'a', seq: 5 }]
    expect(readAnswer(200, JSON.stringify({ accepted }))).toEqual({ kind: 'accepted', accepted })
    expect(readAnswer(200, '{}')).toEqual({ kind: 'nobody' })
    expect(readAnswer(200, '<html>Log in to this network</html>')).toEqual({ kind: 'nobody' })
    expect(readAnswer(200, 'null')).toEqual({ kind: 'nobody' })
  })
  it('is a no only from the judge, who names the act', () => {
    expect(readAnswer(409, no('events[3].payload.stepId'))).toEqual({
      kind: 'judged',
      index: 3,
      reason: 'First the other.',
    })
    expect(readAnswer(422, no('events[0].payload.text'))).toMatchObject({ kind: 'judged', index: 0 })
    expect(readAnswer(422, no('sentAt'))).toEqual({ kind: 'odd', status: 422 })
    expect(readAnswer(400, no('events[0]'))).toEqual({ kind: 'odd', status: 400 })
  })
  it.each([403, 404, 408, 421, 425, 429, 502, 503, 504])('%i says nothing of the acts, whoever gives it', status => {
    expect(readAnswer(status, no('events[0].id'))).toEqual({ kind: 'nobody' })
    expect(readAnswer(status, '<html></html>')).toEqual({ kind: 'nobody' })
  })
  it('wants a sign-in, or is odd', () => {
    expect(readAnswer(401, '<html></html>')).toEqual({ kind: 'sign-in' })
    expect(readAnswer(426, no('events[0].id'))).toEqual({ kind: 'outdated' })
    expect(readAnswer(500, '{}')).toEqual({ kind: 'odd', status: 500 })
    expect(readAnswer(413, '{"statusCode":413}')).toEqual({ kind: 'odd', status: 413 })
    expect(readAnswer(302, '{}')).toEqual({ kind: 'nobody' })
  })
})

describe('what was asked in the place of acts', () => {
  afterEach(() => vi.unstubAllGlobals())
  it('is judged as a whole, and by nobody else', () => {
    expect(readAskedAnswer(201, '{"id":"j","number":7}')).toEqual({ kind: 'through' })
    expect(readAskedAnswer(200, '<html></html>')).toEqual({ kind: 'nobody' })
    expect(readAskedAnswer(422, no('odometerKm'))).toEqual({ kind: 'judged', index: 0, reason: 'First the other.' })
    expect(readAskedAnswer(404, no('id'))).toEqual({ kind: 'nobody' })
    expect(readAskedAnswer(401, '{}')).toEqual({ kind: 'sign-in' })
    expect(readAskedAnswer(500, '{}')).toEqual({ kind: 'odd', status: 500 })
  })
  it('is posted one after another until one does not come through, each moment with the clock of the posting', async () => {
    const posted: [string, Record<string, unknown>][] = []
    vi.stubGlobal('fetch', async (path: string, { body }: { body: string }) => {
      posted.push([path, JSON.parse(body) as Record<string, unknown>])
      return path === '/api/jobs' ? new Response('down', { status: 503 }) : Response.json({ id: 'v' })
    })
    const at = '2026-03-02T08:00:00.000Z'
    const posts = [
      { path: '/api/vehicles', body: { id: 'v' } },
      { path: '/api/jobs', body: { id: 'j', at } },
      { path: '/api/never', body: {} },
    ]
    expect(await postAsked({ id: 'j', opens: true, posts })).toEqual({ kind: 'nobody' })
    expect(posted.map(([path]) => path)).toEqual(['/api/vehicles', '/api/jobs'])
    expect(posted[0]![1]).toEqual({ id: 'v' })
    expect(posted[1]![1]).toMatchObject({ at, sentAt: expect.stringMatching(/Z$/) as string })
  })
})
