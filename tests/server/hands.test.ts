import { beforeAll, describe, expect, it } from 'vitest'
import { forGarage } from '../../server/db/for-garage'
import { DEMO_GARAGE_ID } from '../../server/demo/garage'
import { oneServer } from '../support/one-server'
import { incoming, newJobRequest } from '../support/requests'
import { deviceOf, somebody } from '../support/signed-in'

const { app, database, log } = oneServer({ ELDRIN_DEMO: '' })
type Device = Awaited<ReturnType<typeof deviceOf>> & { personId: string; accountId: string }
let owner: Device
let mechanic: Device
let helper: Device
let jobId: string

const comeIn = async (role: 'owner' | 'mechanic' | 'helper', name: string = role): Promise<Device> => {
  const who = await somebody(database(), DEMO_GARAGE_ID, role, name)
  return { ...(await deviceOf(database(), who)), personId: who.personId, accountId: who.accountId }
}
async function ask(as: Device, method: string, path: string, body?: unknown) {
  const response = await fetch(app().base + path, {
    method,
    headers: as.headers,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const text = await response.text()
  return { status: response.status, text, json: () => JSON.parse(text) as never }
}
const act = (as: Device, type: string, payload: unknown, change: Record<string, unknown> = {}) =>
  ask(as, 'POST', `/api/jobs/${jobId}/events`, {
    events: [incoming(type, payload, { personId: as.personId, deviceId: as.deviceId, ...change })],
    sentAt: new Date().toISOString(),
  })
beforeAll(async () => {
  ;[owner, mechanic, helper] = [await comeIn('owner'), await comeIn('mechanic'), await comeIn('helper')]
  const request = newJobRequest({ personId: owner.personId, deviceId: owner.deviceId, odometerKm: null })
  jobId = request.id
  expect((await ask(owner, 'POST', '/api/jobs', request)).status).toBe(201)
})

describe('a helper', () => {
  it('ticks what was handed to them, and nothing else', async () => {
    const plan = (await log(jobId)).find(event => event.type === 'plan-made')!.payload as {
      plan: { order: string[] }
    }
    const [first] = plan.plan.order as [string]
    const refused = await act(helper, 'step-done', { stepId: first })
    expect([refused.status, refused.text]).toEqual([409, expect.stringContaining('was not handed to you')])
    expect((await act(helper, 'steps-handed', { stepIds: [first], to: helper.personId })).status).toBe(409)
    expect((await act(mechanic, 'steps-handed', { stepIds: [first], to: helper.personId })).status).toBe(200)
    const done = await act(helper, 'step-done', { stepId: first })
    // What a step wants first it wants of everybody.
    if (done.status !== 200) expect(done.text).not.toContain('was not handed to you')
    expect((await act(mechanic, 'steps-handed', { stepIds: ['no-such-step'], to: null })).status).toBe(409)
  })
})

describe('acts that come late', () => {
  it('stand where they were done before the device was ended, marked; those after do not', async () => {
    const phone = await comeIn('mechanic', 'phone-owner')
    await forGarage(database().db, DEMO_GARAGE_ID).who.end(phone.id, false)
    const tenMinutesAgo = new Date(Date.now() - 600_000)
    await database().sql`update device_person set locked_at = ${tenMinutesAgo} where person_id = ${phone.personId}`
    // Somebody else signs the same device in, and what waited on it is sent.
    const who = await somebody(database(), DEMO_GARAGE_ID, 'mechanic', 'next-hand')
    const again = await deviceOf(database(), who, phone.deviceId)
    const next: Device = { ...again, personId: who.personId, accountId: who.accountId }
    const early = new Date(Date.now() - 3_600_000).toISOString()
    const before = await act(
      next,
      'note-added',
      { stepId: null, text: 'Before it was lost' },
      { personId: phone.personId, deviceTime: early },
    )
    expect(before.status).toBe(200)
    const late = new Date(Date.now() - 60_000).toISOString()
    const after = await ask(next, 'POST', `/api/jobs/${jobId}/events`, {
      events: [
        incoming(
          'note-added',
          { stepId: null, text: 'After' },
          { personId: phone.personId, deviceId: phone.deviceId, deviceTime: late },
        ),
      ],
    })
    expect([after.status, after.text]).toEqual([409, expect.stringContaining('signed in on this device no more')])
    const kept = (await log(jobId)).filter(event => event.personId === phone.personId)
    expect(kept).toMatchObject([{ late: true, payload: { text: 'Before it was lost' } }])
    // What somebody does who is there is not.
    await act(next, 'note-added', { stepId: null, text: 'Now' })
    expect((await log(jobId)).at(-1)!.late).toBeUndefined()
  })
})

describe('a job file', () => {
  it('says of people of this garage only what who takes it in may do', async () => {
    const paid = await act(owner, 'paid', { amount: 12, how: 'by card' })
    expect(paid.status).toBe(200)
    const file = (await ask(owner, 'GET', `/api/jobs/${jobId}/file`)).json() as {
      events: { id: string; jobId: string; type: string }[]
    }
    const elsewhere = crypto.randomUUID()
    const copy = JSON.parse(
      JSON.stringify({
        ...file,
        events: file.events.map(event => ({ ...event, id: crypto.randomUUID(), jobId: elsewhere })),
      }),
    ) as typeof file
    const refused = await ask(mechanic, 'POST', '/api/imports', copy)
    expect([refused.status, refused.text]).toEqual([403, expect.stringContaining('The owner can')])
    expect((await ask(owner, 'POST', '/api/imports', copy)).status).toBeLessThan(300)
  })
})
