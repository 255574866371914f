import { beforeAll, describe, expect, it } from 'vitest'
import { DEMO_GARAGE_ID } from '../../server/demo/garage'
import { DEVICE_COOKIE } from '../../server/who/device-cookie'
import { oneServer } from '../support/one-server'
import { incoming, newJobRequest } from '../support/requests'
import { anotherGarage, deviceOf, PASSWORD, somebody } from '../support/signed-in'

const server = oneServer({ ELDRIN_DEMO: '' })
type Somebody = Awaited<ReturnType<typeof somebody>>
let owner: Somebody
beforeAll(async () => {
  owner = await somebody(server.database(), DEMO_GARAGE_ID, 'owner')
})

async function ask(method: string, path: string, headers: Record<string, string> = {}, body?: unknown) {
  const response = await fetch(server.app().base + path, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  const text = await response.text()
  const cookie = response.headers.getSetCookie().find(line => line.startsWith(`${DEVICE_COOKIE}=`))
  const answer = (text ? JSON.parse(text) : null) as Record<string, unknown> & {
    data?: { issues: { path: string; reason: string }[] }
  }
  return {
    status: response.status,
    answer,
    cookie,
    issue: answer?.data?.issues[0],
    headers: { cookie: cookie?.split(';')[0] ?? '' },
  }
}
const device = (name = 'Phone') => ({ deviceId: crypto.randomUUID(), deviceName: name })
const signIn = (signIn: string, password = PASSWORD, more: Record<string, unknown> = {}) =>
  ask('POST', '/api/sign-in', {}, { signIn, password, ...device(), ...more })

describe('signing in', () => {
  it('gives the device a token that no script reads and no other page sends', async () => {
    const { status, cookie, headers } = await signIn('OWNER ')
    expect(status).toBe(204)
    for (const part of ['HttpOnly', 'SameSite=Strict', 'Path=/api']) expect(cookie).toContain(part)
    const { answer } = await ask('GET', '/api/garage', headers)
    expect(answer).toMatchObject({ id: DEMO_GARAGE_ID, me: { personId: owner.personId, role: 'owner' } })
    const [kept] = await server.database().sql<{
      token_hash: string
    }>`select token_hash from device order by signed_in_at desc limit 1`
    expect(headers.cookie).not.toContain(kept!.token_hash)
  })
  it('says the same of a wrong password and of nobody', async () => {
    const [wrong, nobody] = [await signIn('owner', 'wrong wrong wrong'), await signIn('nobody')]
    expect([wrong.status, nobody.status]).toEqual([401, 401])
    expect(wrong.issue).toEqual(nobody.issue)
  })
  it('is slowed down for who tries on, and for nobody elsewhere', async () => {
    const tried = await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'tried')
    const statuses = []
    for (let tries = 0; tries < 9; tries++) statuses.push((await signIn('tried', `wrong ${tries} wrong`)).status)
    expect(statuses).toEqual([...Array(8).fill(401), 429])
    expect((await signIn('tried')).issue!.reason).toMatch(/^Too many tries\. Try again in \d+ minutes/)
    // Another process counts on; another name is not touched.
    expect((await signIn('owner')).status).toBe(204)
    expect(tried.personId).toBeTruthy()
  })
  it('asks which garage, of somebody who belongs to several', async () => {
    const other = await anotherGarage(server.database())
    const both = await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'both')
    await server.database()
      .sql`insert into person (id, garage_id, name, role, account_id) values (${crypto.randomUUID()}, ${other}, 'Both', 'owner', ${both.accountId})`
    const { answer, cookie } = await signIn('both')
    expect([answer.places, cookie]).toEqual([
      expect.arrayContaining([
        expect.objectContaining({ garageId: other, role: 'owner' }),
        expect.objectContaining({ role: 'mechanic' }),
      ]),
      undefined,
    ])
    const there = await signIn('both', PASSWORD, { garageId: other })
    expect((await ask('GET', '/api/garage', there.headers)).answer.id).toBe(other)
    expect((await signIn('both', PASSWORD, { garageId: crypto.randomUUID() })).cookie).toBeUndefined()
  })
})

describe('an invitation', () => {
  const invite = async (change: Record<string, unknown> = {}) => {
    const { headers } = await deviceOf(server.database(), owner)
    return ask('POST', '/api/invitations', headers, {
      id: crypto.randomUUID(),
      kind: 'join',
      role: 'mechanic',
      name: 'Isolde Marrick',
      personId: null,
      days: 2,
      ...change,
    })
  }
  const join = (token: string, change: Record<string, unknown> = {}) =>
    ask(
      'POST',
      `/api/joins/${token}`,
      {},
      {
        signIn: `isolde-${token.slice(0, 5)}`,
        password: 'a lamp under a van',
        name: 'Isolde Marrick',
        ...device(),
        ...change,
      },
    )

  it('lets one person in, once, as what it says', async () => {
    const { status, answer } = await invite()
    expect(status).toBe(201)
    const token = answer.token as string
    expect((await ask('GET', `/api/joins/${token}`)).answer).toEqual({
      kind: 'join',
      garage: expect.any(String),
      role: 'mechanic',
      name: 'Isolde Marrick',
    })
    const came = await join(token)
    expect(came.status).toBe(204)
    expect((await ask('GET', '/api/garage', came.headers)).answer).toMatchObject({ me: { role: 'mechanic' } })
    expect((await join(token, { signIn: 'somebody-else' })).status).toBe(404)
    expect((await ask('GET', `/api/joins/${token}`)).status).toBe(404)
  })
  it('of two who come with it at once lets one in', async () => {
    const { answer } = await invite()
    const token = answer.token as string
    const both = await Promise.all([join(token, { signIn: 'first-one' }), join(token, { signIn: 'second-one' })])
    expect(both.map(({ status }) => status).sort()).toEqual([204, 404])
  })
  it('holds no longer than it says, nor when it was taken back', async () => {
    const { answer } = await invite()
    await server.database()
      .sql`update invitation set expires_at = ${new Date(Date.now() - 60_000)} where id = ${answer.id as string}`
    expect((await join(answer.token as string)).status).toBe(404)
    const again = await invite()
    const { headers } = await deviceOf(server.database(), owner)
    expect((await ask('DELETE', `/api/invitations/${again.answer.id as string}`, headers)).status).toBe(204)
    expect((await join(again.answer.token as string)).status).toBe(404)
  })
  it('refuses a short password, and a name that is somebody else’s', async () => {
    const { answer } = await invite()
    expect((await join(answer.token as string, { password: 'short' })).issue!.path).toBe('password')
    expect((await join(answer.token as string, { signIn: 'owner' })).issue!.path).toBe('signIn')
  })
  it('sets a new password, and signs out who knew the old one', async () => {
    const forgot = await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'forgot')
    const old = await deviceOf(server.database(), forgot)
    const { answer } = await invite({ kind: 'reset', personId: forgot.personId })
    const came = await join(answer.token as string, { signIn: 'forgot' })
    expect(came.status).toBe(204)
    expect((await signIn('forgot')).status).toBe(401)
    expect((await signIn('forgot', 'a lamp under a van')).status).toBe(204)
    expect((await ask('GET', '/api/garage', old.headers)).status).toBe(401)
  })
})

describe('a device', () => {
  it('hands over by a tap, and by a PIN where one is set; acts of both are taken', async () => {
    const [first, second] = [
      await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'first-hand'),
      await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'second-hand'),
    ]
    const own = await deviceOf(server.database(), second)
    expect((await ask('PUT', '/api/session/pin', own.headers, { pin: '4711' })).status).toBe(204)
    const shared = await deviceOf(server.database(), first)
    const over = (pin?: string) =>
      ask('POST', '/api/session/person', shared.headers, { personId: second.personId, pin })
    expect([(await over()).status, (await over('0000')).status]).toEqual([422, 422])
    expect((await over('4711')).status).toBe(204)
    expect((await ask('GET', '/api/garage', shared.headers)).answer).toMatchObject({
      me: { personId: second.personId },
    })
    const job = newJobRequest({ personId: first.personId, deviceId: shared.deviceId })
    expect((await ask('POST', '/api/jobs', shared.headers, job)).status).toBe(201)
    for (const { personId } of [first, second])
      expect(
        (
          await ask('POST', `/api/jobs/${job.id}/events`, shared.headers, {
            events: [incoming('note-added', { stepId: null, text: 'Seen' }, { personId, deviceId: shared.deviceId })],
          })
        ).status,
      ).toBe(200)
  })
  it('does not make an owner of a mechanic by a tap', async () => {
    const shared = await deviceOf(
      server.database(),
      await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'tapping'),
    )
    const { status, issue } = await ask('POST', '/api/session/person', shared.headers, { personId: owner.personId })
    expect([status, issue!.reason]).toEqual([422, expect.stringContaining('has no PIN yet')])
  })
  it('gives up a PIN after five tries', async () => {
    const [first, second] = [
      await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'guessing'),
      await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'guessed'),
    ]
    const own = await deviceOf(server.database(), second)
    await ask('PUT', '/api/session/pin', own.headers, { pin: '4711' })
    const shared = await deviceOf(server.database(), first)
    const statuses = []
    for (const pin of ['0000', '1111', '2222', '3333', '4444', '4711'])
      statuses.push(
        (await ask('POST', '/api/session/person', shared.headers, { personId: second.personId, pin })).status,
      )
    expect(statuses).toEqual([422, 422, 422, 422, 422, 429])
  })
  it('that is ended is out in every process without asking, its streams too; one that is lost is told to forget', async () => {
    const lost = await deviceOf(server.database(), owner)
    const stream = await fetch(`${server.app().base}/api/stream`, { headers: lost.headers })
    const ended = (async () => {
      for await (const _part of stream.body as unknown as AsyncIterable<Uint8Array>) continue
    })()
    expect((await ask('GET', '/api/jobs', lost.headers)).status).toBe(200)
    // As another process would end it: this one only reads of it.
    await server.database().sql`update device set ended_at = now(), wipe = true where id = ${lost.id}`
    await ended
    const { status, issue } = await ask('GET', '/api/jobs', lost.headers)
    expect([status, issue!.path]).toEqual([401, 'wipe'])
  })
  it('of somebody who left is out as well', async () => {
    const leaver = await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'leaver')
    const theirs = await deviceOf(server.database(), leaver)
    const mine = await deviceOf(server.database(), owner)
    const change = { name: 'Some mechanic', gone: true }
    expect((await ask('PUT', `/api/people/${leaver.personId}`, mine.headers, change)).status).toBe(200)
    expect((await ask('GET', '/api/jobs', theirs.headers)).status).toBe(401)
    expect((await signIn('leaver')).status).toBe(403)
  })
  it('acts that waited when it was signed out are taken when the same hand signs in again', async () => {
    const away = await somebody(server.database(), DEMO_GARAGE_ID, 'mechanic', 'away')
    const mine = { deviceId: crypto.randomUUID(), deviceName: 'Phone' }
    const first = await ask('POST', '/api/sign-in', {}, { signIn: 'away', password: PASSWORD, ...mine })
    const job = newJobRequest({ personId: away.personId, deviceId: mine.deviceId })
    expect((await ask('POST', '/api/jobs', first.headers, job)).status).toBe(201)
    await ask('POST', '/api/sign-out', first.headers)
    const waits = {
      events: [
        incoming(
          'note-added',
          { stepId: null, text: 'Under the car' },
          { personId: away.personId, deviceId: mine.deviceId },
        ),
      ],
    }
    expect((await ask('POST', `/api/jobs/${job.id}/events`, first.headers, waits)).status).toBe(401)
    const again = await ask('POST', '/api/sign-in', {}, { signIn: 'away', password: PASSWORD, ...mine })
    expect((await ask('POST', `/api/jobs/${job.id}/events`, again.headers, waits)).status).toBe(200)
  })
})
