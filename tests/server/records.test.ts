import { beforeAll, describe, expect, it } from 'vitest'
import { migrateDatabase } from '../../server/db/migrate'
import { openJobs, pause } from '../drills/devices'
import { asShipped, startApp } from '../support/app'
import { emptyDatabase } from '../support/database'
import { lineTo } from '../support/line'
import { oneServer } from '../support/one-server'
import { incoming } from '../support/requests'

const { app, call, database } = oneServer()
let jobId: string
beforeAll(async () => {
  ;[jobId] = (await openJobs(app().base, 1)) as [string]
})
const note = (text: string) => ({ events: [incoming('note-added', { stepId: null, text })] })

describe('the records', () => {
  it('cannot be emptied, by anybody, and by the application not be changed', async () => {
    await expect(database().sql`truncate job_event cascade`).rejects.toThrow('append only')
    const own = await import('../../server/db/client').then(({ openDatabase }) => openDatabase(database().url, 1))
    try {
      for (const text of [
        'truncate job_event',
        "update job_event set type = 'x'",
        'delete from job_event',
        'drop table job_event',
        'alter table job_event disable trigger all',
      ])
        await expect(own.pool.query(text), text).rejects.toThrow(/permission denied|must be owner/)
    } finally {
      await own.close()
    }
  })
  it('are written anew from the logs after a migration, and two who migrate wait for each other', async () => {
    const lines = async () =>
      await database().sql<{
        job_id: string
        last_seq: string
        summary: object
      }>`select job_id, last_seq, summary from job_summary order by job_id`
    const before = await lines()
    await database().sql`update job_summary set summary = '{}', last_seq = 0`
    await database().sql`delete from job_words`
    await database().sql`update projection set version = 0`
    await Promise.all([migrateDatabase(database().ownerUrl), migrateDatabase(database().ownerUrl)])
    expect(await lines()).toEqual(before)
    expect(((await (await call('GET', '/api/search?q=slips')).json()) as unknown[]).length).toBeGreaterThan(0)
  })
  it('that are not as this server knows them keep it from starting', async () => {
    const empty = await emptyDatabase()
    await expect(startApp(empty.ownerUrl)).rejects.toThrow('ended with 1')
    await migrateDatabase(empty.ownerUrl)
    await import('pg').then(async ({ default: { Client } }) => {
      const client = new Client({ connectionString: empty.ownerUrl })
      await client.connect()
      await client.query("insert into drizzle.__drizzle_migrations (hash, created_at) values ('newer', 9999999999999)")
      await client.end()
    })
    await expect(startApp(empty.url)).rejects.toThrow('ended with 1')
    await expect(migrateDatabase(empty.ownerUrl)).rejects.toThrow('newer Eldrin')
    await empty.drop()
  })
})

describe('the server', () => {
  it('told to stop with streams open goes by itself, its streams closed', async () => {
    const other = await startApp(database().url)
    const streams = await Promise.all(Array.from({ length: 5 }, () => fetch(`${other.base}/api/jobs/${jobId}/stream`)))
    const ends = streams.map(async stream => {
      for await (const _chunk of stream.body as unknown as AsyncIterable<Uint8Array>);
    })
    const gone = new Promise<number | null>(resolve => {
      other.process.once('exit', code => resolve(code))
      other.process.kill('SIGTERM')
    })
    expect(await gone).toBe(0)
    await Promise.allSettled(ends)
  })
  it('hears again after its listening line was cut, again and again, and no stream lacks anything', async () => {
    const line = await lineTo(database().url)
    const other = await startApp(line.url, undefined, asShipped)
    const [id] = (await openJobs(other.base, 1)) as [string]
    const abort = new AbortController()
    const stream = await fetch(`${other.base}/api/jobs/${id}/stream`, { signal: abort.signal })
    let heard = ''
    const reading = (async () => {
      const text = new TextDecoder()
      for await (const chunk of stream.body as unknown as AsyncIterable<Uint8Array>)
        heard += text.decode(chunk, { stream: true })
    })().catch(() => {})
    for (let round = 0; round < 5; round++) {
      line.refuse(true)
      // Posted through another process while this one is deaf.
      expect((await call('POST', `/api/jobs/${id}/events`, note(`deaf ${round}`))).status).toBe(200)
      await pause(200)
      line.refuse(false)
      await expect.poll(() => heard, { timeout: 60_000 }).toContain(`deaf ${round}`)
    }
    abort.abort()
    await reading
    await other.kill()
    await line.close()
  })
})
