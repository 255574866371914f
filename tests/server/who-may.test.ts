import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { beforeAll, describe, expect, it } from 'vitest'
import { may, permissions, roles } from '../../core/people/roles'
import type { Permission, Role } from '../../core/people/roles'
import { DEMO_GARAGE_ID, demoVehicles } from '../../server/demo/garage'
import { oneServer } from '../support/one-server'
import { incoming, newJobRequest } from '../support/requests'
import { anotherGarage, deviceOf, somebody } from '../support/signed-in'

const server = oneServer({ ELDRIN_DEMO: '' })
const folder = 'server/api'

/** Every route there is, with what it wants: read from the files, so that a new one is tried as well. */
const routes = readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter(file => /\.(get|post|put|patch|delete)\.ts$/.test(file))
  .map(file => {
    const [, path, method] = /^(.*?)(?:\/index)?\.(\w+)\.ts$/.exec(file)!
    const [, wanted] = /defineRoute\(\s*'([\w-]+)'/.exec(readFileSync(join(folder, file), 'utf8'))!
    return { path: `/api/${path!.replace(/^index$/, '')}`, method: method!.toUpperCase(), wanted: wanted! }
  })
  .sort((a, b) => a.path.localeCompare(b.path))

/** What stands for the names in brackets: things of the demo garage. */
let jobId: string
const addressOf = (path: string) =>
  path
    .replace('jobs/[id]', `jobs/${jobId}`)
    // Whoever may takes a name out for good.
    .replace('vehicles/[id]/customer', `vehicles/${demoVehicles[1]!.id}/customer`)
    .replace('vehicles/[id]', `vehicles/${demoVehicles[0]!.id}`)
    .replace('packs/[id]', 'packs/fwd-transverse')
    .replace('[kind]', 'estimate')
    .replace('[name]', 'bolts.csv')
    .replace('[token]', 'x'.repeat(32))
    .replace(/\[\w+\]/g, crypto.randomUUID())

async function ask(method: string, path: string, headers: Record<string, string>, body: unknown = {}) {
  const over = new AbortController()
  const response = await fetch(server.app().base + addressOf(path), {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    signal: over.signal,
    ...(method === 'GET' || method === 'DELETE' ? {} : { body: JSON.stringify(body) }),
  })
  // A stream has no end; what is wanted is whether it begins.
  const text = response.headers.get('content-type')?.includes('event-stream') ? '' : await response.text()
  over.abort()
  return { status: response.status, text }
}

const devices = {} as Record<Role, Awaited<ReturnType<typeof deviceOf>> & { personId: string }>
let stranger: Awaited<ReturnType<typeof deviceOf>> & { personId: string }
beforeAll(async () => {
  const database = server.database()
  for (const role of roles) {
    const who = await somebody(database, DEMO_GARAGE_ID, role)
    devices[role] = { ...(await deviceOf(database, who)), personId: who.personId }
  }
  const other = await somebody(database, await anotherGarage(database), 'owner', 'stranger')
  stranger = { ...(await deviceOf(database, other)), personId: other.personId }
  const request = newJobRequest({ personId: devices.owner.personId, deviceId: devices.owner.deviceId })
  jobId = request.id
  expect((await ask('POST', '/api/jobs', devices.owner.headers, request)).status).toBe(201)
})

it('knows every route, and what each wants is in the table', () => {
  expect(routes.length).toBeGreaterThan(50)
  for (const { wanted, path } of routes) expect(['anyone', 'signed-in', ...permissions], path).toContain(wanted)
})

describe.each(routes)('$method $path ($wanted)', ({ method, path, wanted }) => {
  it('is not for somebody who is not signed in, but for what is anyone’s', async () => {
    const { status } = await ask(method, path, {})
    if (wanted === 'anyone') expect(status).not.toBe(403)
    else expect(status).toBe(401)
  })
})

// What ends the asker's own session is tried by itself.
describe.each(routes.filter(({ path }) => path !== '/api/sign-out'))('$method $path', ({ method, path, wanted }) => {
  it.each(roles)('is for a %s as the table has it', async role => {
    const { status, text } = await ask(method, path, devices[role].headers)
    const isLetIn = ['anyone', 'signed-in'].includes(wanted) || may(role, wanted as Permission)
    if (!isLetIn) expect(status).toBe(403)
    else expect(text.includes('This is not for a'), text).toBe(false)
    // There is no supplier here, which a route may say.
    expect(status).not.toBe(500)
  })
})

// Layouts that ship are everybody's; an id of a person that nobody has makes somebody new.
describe.each(routes.filter(({ path }) => /(jobs|vehicles|wrenches|devices|invitations)\/\[/.test(path)))(
  '$method $path',
  ({ method, path }) => {
    it('gives nothing of this garage to the owner of another', async () => {
      expect([400, 404, 422]).toContain((await ask(method, path, stranger.headers)).status)
    })
  },
)

describe('what somebody may read', () => {
  it('another garage has no line of this one', async () => {
    for (const path of ['/api/jobs', '/api/vehicles', '/api/wrenches', '/api/devices'])
      expect((await ask('GET', path, stranger.headers)).text, path).not.toContain('Pellibo')
    expect(JSON.parse((await ask('GET', '/api/jobs', stranger.headers)).text)).toEqual([])
  })
  it('a helper reads no customer and no price, wherever they look', async () => {
    const post = (type: string, payload: unknown) =>
      ask('POST', `/api/jobs/[id]/events`, devices.owner.headers, {
        events: [incoming(type, payload, { personId: devices.owner.personId, deviceId: devices.owner.deviceId })],
      })
    expect((await post('paid', { amount: 731.25, how: 'in notes' })).status).toBe(200)
    const read = async (role: Role) =>
      (
        await Promise.all(
          routes
            .filter(route => route.method === 'GET' && route.wanted !== 'anyone' && !/stream/.test(route.path))
            .map(route => ask('GET', route.path, devices[role].headers)),
        )
      )
        .map(({ text }) => text)
        .join()
    const [ours, theirs] = [await read('owner'), await read('helper')]
    for (const secret of ['731.25', demoVehicles[0]!.customer, '"labourPerHour":80'])
      expect([ours.includes(secret), theirs.includes(secret)], secret).toEqual([true, false])
  })
})

describe('what somebody may do to a job', () => {
  const by = (role: Role, type: string, payload: unknown, change: Record<string, unknown> = {}) =>
    ask('POST', `/api/jobs/[id]/events`, devices[role].headers, {
      events: [
        incoming(type, payload, { personId: devices[role].personId, deviceId: devices[role].deviceId, ...change }),
      ],
    })
  it('a bookkeeper writes what was paid and nothing at the car; a mechanic the other way round', async () => {
    expect((await by('bookkeeper', 'paid', { amount: 20, how: 'by card' })).status).toBe(200)
    expect(await by('bookkeeper', 'note-added', { stepId: null, text: 'Looked at it' })).toMatchObject({ status: 409 })
    expect((await by('mechanic', 'note-added', { stepId: null, text: 'Looked at it' })).status).toBe(200)
    const refused = await by('mechanic', 'paid', { amount: 20, how: 'by card' })
    expect([refused.status, refused.text]).toEqual([409, expect.stringContaining('This is not for a mechanic.')])
  })
  it('a helper takes back their own and nobody else’s', async () => {
    const [own, others] = [crypto.randomUUID(), crypto.randomUUID()]
    await by('helper', 'note-added', { stepId: null, text: 'Mine' }, { id: own })
    await by('mechanic', 'note-added', { stepId: null, text: 'Not mine' }, { id: others })
    expect((await by('helper', 'undone', { eventId: others })).status).toBe(409)
  })
  it('nobody signs for somebody who has not said on this device that it is them', async () => {
    const { status, text } = await by(
      'mechanic',
      'note-added',
      { stepId: null, text: 'x' },
      { personId: devices.owner.personId },
    )
    expect([status, text]).toEqual([422, expect.stringContaining('events[0].personId')])
  })
})
