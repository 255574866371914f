import { request } from 'node:http'
import { beforeAll, describe, expect, it } from 'vitest'
import { allRoutes } from '../drills/fuzz'
import { openJobs } from '../drills/devices'
import { oneServer } from '../support/one-server'
import { incoming, newJobRequest } from '../support/requests'

const { app } = oneServer()
let jobId: string
beforeAll(async () => {
  ;[jobId] = (await openJobs(app().base, 1)) as [string]
})
const send = (method: string, path: string, body?: string, headers: Record<string, string> = {}) =>
  fetch(app().base + path, { method, headers, ...(body === undefined ? {} : { body }) })
const note = (text: string) => ({ events: [incoming('note-added', { stepId: null, text })] })

describe('who asks', () => {
  it('from another page, or by another name, changes nothing', async () => {
    const body = JSON.stringify(note('from elsewhere'))
    expect((await send('POST', `/api/jobs/${jobId}/events`, body, { 'content-type': 'text/plain' })).status).toBe(415)
    expect(
      (
        await send('POST', `/api/jobs/${jobId}/events`, body, {
          'content-type': 'application/json',
          origin: 'http://elsewhere.example',
        })
      ).status,
    ).toBe(403)
    expect(
      (
        await send('POST', `/api/jobs/${jobId}/events`, body, {
          'content-type': 'application/json',
          'sec-fetch-site': 'cross-site',
        })
      ).status,
    ).toBe(403)
    const { port } = new URL(app().base)
    const foreign = await new Promise<number>(resolve =>
      request({ port, host: '127.0.0.1', path: '/api/jobs', headers: { host: 'elsewhere.example' } }, response =>
        resolve(response.statusCode!),
      ).end(),
    )
    expect(foreign).toBe(421)
  })
  it('only for the head gets it, on every route that can be read', async () => {
    for (const { method, path } of allRoutes().filter(route => route.method === 'GET' && !/token/.test(route.path))) {
      const address = path
        .replace(
          '[id]',
          path.startsWith('/api/packs')
            ? 'fwd-transverse'
            : path.startsWith('/api/vehicles')
              ? newJobRequest().vehicleId
              : jobId,
        )
        .replace('[kind]', 'invoice')
        .replace('[name]', 'bolts')
      const [head, whole] = [await send('HEAD', address), path.endsWith('stream') ? null : await send(method, address)]
      expect(await head.text()).toBe('')
      expect(head.status, address).toBe(whole?.status ?? 200)
    }
  })
  it('is told by the headers that this is nobody else’s to keep or to frame', async () => {
    const data = await send('GET', '/api/jobs')
    expect(data.headers.get('cache-control')).toBe('no-store')
    const page = await send('GET', '/')
    for (const answer of [data, page]) {
      expect(answer.headers.get('x-content-type-options')).toBe('nosniff')
      expect(answer.headers.get('x-frame-options')).toBe('DENY')
      expect(answer.headers.get('content-security-policy')).toContain("default-src 'self'")
      expect(answer.headers.get('x-powered-by')).toBeNull()
    }
    // A part of a page says less, and a worker among them is bound all the same.
    const [, script] = /src="(\/_nuxt\/[^"]+\.js)"/.exec(await page.text())!
    const { headers } = await send('GET', script!)
    expect(headers.get('x-content-type-options')).toBe('nosniff')
    expect(headers.get('content-security-policy')).toBe("default-src 'self'")
    expect(headers.get('permissions-policy')).toBeNull()
  })
})
