import { SMTPServer } from 'smtp-server'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEMO_GARAGE_ID } from '../../server/demo/garage'
import { startApp } from '../support/app'
import type { RunningApp } from '../support/app'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { deviceOf, somebody } from '../support/signed-in'

/** A small mail server that keeps what it is given, and takes nothing for one address. */
const letters: { to: string; text: string }[] = []
const mailServer = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onRcptTo: ({ address }, _session, done) => done(address.startsWith('nobody') ? new Error('no such box') : undefined),
  onData(stream, { envelope }, done) {
    let text = ''
    stream.on('data', (chunk: Buffer) => (text += chunk.toString()))
    stream.on('end', () => {
      letters.push({ to: envelope.rcptTo.map(({ address }) => address).join(), text })
      done()
    })
  },
})
let database: TestDatabase
let app: RunningApp
let headers: Record<string, string>
beforeAll(async () => {
  await new Promise<void>(resolve => mailServer.listen(0, '127.0.0.1', resolve))
  const { port } = mailServer.server.address() as { port: number }
  database = await freshDatabase()
  app = await startApp(database.url, undefined, {
    ELDRIN_DEMO: '',
    ELDRIN_SMTP_URL: `smtp://127.0.0.1:${port}`,
    ELDRIN_MAIL_FROM: 'garage@sallow.example',
  })
  ;({ headers } = await deviceOf(database, await somebody(database, DEMO_GARAGE_ID, 'owner')))
})
afterAll(async () => {
  await app.kill()
  await database.drop()
  await new Promise<void>(resolve => mailServer.close(resolve))
})
const invite = async (mailTo?: string, base = app.base) => {
  const response = await fetch(`${base}/api/invitations`, {
    method: 'POST',
    headers,
    body: JSON.stringify({
      id: crypto.randomUUID(),
      kind: 'join',
      role: 'mechanic',
      name: 'Isolde Marrick',
      personId: null,
      days: 2,
      ...(mailTo ? { mailTo } : {}),
    }),
  })
  return { status: response.status, answer: (await response.json()) as { token: string; mailed: boolean | null } }
}

describe('an invitation by mail', () => {
  it('reaches who it is for, with the link that opens', async () => {
    const { status, answer } = await invite('isolde@marrick.example')
    expect([status, answer.mailed]).toEqual([201, true])
    expect(letters.at(-1)!.to).toBe('isolde@marrick.example')
    // Lines of a mail are short: a long one is broken with a sign at its end.
    expect(letters.at(-1)!.text.replaceAll('=\r\n', '')).toContain(`${app.base}/join/${answer.token}`)
  })
  it('is made all the same where the mail server does not take it, and says so', async () => {
    const { status, answer } = await invite('nobody@marrick.example')
    expect([status, answer.mailed]).toEqual([201, false])
    expect((await fetch(`${app.base}/api/joins/${answer.token}`)).status).toBe(200)
  })
  it('is not asked for where there is no mail server', async () => {
    const plain = await startApp(database.url, undefined, { ELDRIN_DEMO: '' })
    try {
      expect((await invite('isolde@marrick.example', plain.base)).status).toBe(422)
      expect((await invite(undefined, plain.base)).answer.mailed).toBeNull()
    } finally {
      await plain.kill()
    }
  })
})
