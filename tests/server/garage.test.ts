import { describe, expect, it } from 'vitest'
import { oneServer } from '../support/one-server'
import { incoming, newJobRequest, personId } from '../support/requests'

const { app } = oneServer()
interface Issue {
  path: string
  reason: string
}
async function call(method: string, path: string, body?: unknown) {
  const response = await fetch(app().base + path, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const answer = (await response.json()) as Record<string, unknown> & { data?: { issues: Issue[] } }
  return { status: response.status, answer, issue: answer.data?.issues[0] }
}
const garage = async () =>
  (await call('GET', '/api/garage')).answer as unknown as {
    name: string
    address: string
    units: Record<string, string>
    people: { id: string; name: string; gone: boolean }[]
  }

describe('the garage itself', () => {
  it('keeps its name, address, units and the way it writes numbers', async () => {
    expect(
      (
        await call('PATCH', '/api/garage', {
          name: 'Marrow Lane Gearboxes',
          address: '4 Marrow Lane',
          massUnit: 'lb',
          volumeUnit: 'US qt',
          numberFormat: 'comma',
        })
      ).status,
    ).toBe(200)
    expect(await garage()).toMatchObject({
      name: 'Marrow Lane Gearboxes',
      address: '4 Marrow Lane',
      units: { mass: 'lb', volume: 'US qt', numbers: 'comma' },
    })
    expect((await call('PATCH', '/api/garage', { name: ' ' })).issue).toEqual({
      path: 'name',
      reason: 'This cannot be empty.',
    })
    expect((await call('PATCH', '/api/garage', { massUnit: 'stone' })).issue).toEqual({
      path: 'massUnit',
      reason: 'One of: kg, lb.',
    })
    expect((await garage()).name).toBe('Marrow Lane Gearboxes')
  })
  it('takes people in, renames them and lets them go, but never the last', async () => {
    const id = crypto.randomUUID()
    expect((await call('PUT', `/api/people/${id}`, { name: 'Orla Fennimoor' })).status).toBe(200)
    expect((await call('PUT', `/api/people/${id}`, { name: 'Orla Fennimoor-Zell' })).status).toBe(200)
    expect((await garage()).people).toContainEqual(
      expect.objectContaining({ id, name: 'Orla Fennimoor-Zell', gone: false, role: 'mechanic', signsIn: false }),
    )
    expect((await call('PUT', `/api/people/${id}`, { name: '' })).issue).toMatchObject({ path: 'name' })
    expect((await call('PUT', '/api/people/nobody', { name: 'X' })).status).toBe(400)
    // A garage has an owner, whoever else works there.
    const leaving = { name: 'Maren Oduya-Plast', gone: true }
    expect(await call('PUT', `/api/people/${personId}`, leaving)).toMatchObject({
      status: 409,
      issue: { path: 'role' },
    })
    const demoted = { name: 'Maren Oduya-Plast', role: 'helper' }
    expect((await call('PUT', `/api/people/${personId}`, demoted)).status).toBe(409)
    const promoted = { name: 'Orla Fennimoor-Zell', role: 'owner' }
    expect((await call('PUT', `/api/people/${id}`, promoted)).status).toBe(200)
    for (const person of (await garage()).people)
      if (person.id !== id)
        expect((await call('PUT', `/api/people/${person.id}`, { name: person.name, gone: true })).status).toBe(200)
    expect(await call('PUT', `/api/people/${id}`, { name: 'Orla', gone: true })).toMatchObject({
      status: 409,
      issue: { path: 'gone' },
    })
    expect(await call('POST', '/api/jobs', newJobRequest())).toMatchObject({ status: 422, issue: { path: 'personId' } })
    expect((await call('PUT', `/api/people/${personId}`, { name: 'Maren Oduya-Plast', gone: false })).status).toBe(200)
    expect((await call('POST', '/api/jobs', newJobRequest({ odometerKm: null }))).status).toBe(201)
  })
})

describe('the odometer of a car', () => {
  it('does not run backwards from one job to the next', async () => {
    const first = newJobRequest({ odometerKm: 143_200 })
    expect((await call('POST', '/api/jobs', first)).status).toBe(201)
    expect(await call('POST', '/api/jobs', newJobRequest({ odometerKm: 143 }))).toMatchObject({
      status: 422,
      issue: {
        path: 'odometerKm',
        reason: 'This car stood at {143200 km} on 2026-03-02; it cannot stand at {143 km} now.',
      },
    })
    expect((await call('POST', '/api/jobs', newJobRequest({ odometerKm: 143_199.5 }))).status).toBe(201)
    expect((await call('POST', '/api/jobs', newJobRequest({ odometerKm: null }))).status).toBe(201)
  })
})

describe('looking a job up', () => {
  it('finds either word of a term and shows neither braces nor ids', async () => {
    const request = newJobRequest({ odometerKm: null })
    await call('POST', '/api/jobs', request)
    expect(
      (
        await call('POST', `/api/jobs/${request.id}/events`, {
          events: [
            incoming('figure-named', {
              group: 'bell-bolts',
              torqueNm: 60,
              sourceKind: 'vehicle-book',
              reference: 'Sheet 31',
            }),
          ],
        })
      ).status,
    ).toBe(200)
    const find = async (text: string) =>
      (await call('GET', `/api/search?q=${encodeURIComponent(text)}`)).answer as unknown as {
        summary: { jobId: string }
        snippet: string
      }[]
    for (const word of ['transmission', 'gearbox', 'gearb', 'bellhousing', 'Sheet 31']) {
      const found = await find(word)
      expect(
        found.map(line => line.summary.jobId),
        word,
      ).toContain(request.id)
      for (const { snippet } of found) expect(snippet, word).not.toMatch(/[{}]|bell-bolts|[a-z]-bolts/)
    }
  })
})
