import { Client } from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openDatabase } from '../../server/db/client'
import { atTheDoor, inGarage, seenBy } from '../../server/db/eyes'
import { forGarage } from '../../server/db/for-garage'
import { job, person, vehicle } from '../../server/db/schema'
import { DEMO_GARAGE_ID, demoVehicles } from '../../server/demo/garage'
import { freshDatabase } from '../support/database'
import type { TestDatabase } from '../support/database'
import { anotherGarage } from '../support/signed-in'

let database: TestDatabase
let other: string
/** As the application connects. */
let app: ReturnType<typeof openDatabase>
let plain: Client
beforeAll(async () => {
  database = await freshDatabase(true)
  other = await anotherGarage(database)
  app = openDatabase(database.url, 3)
  // Of a line its end is waited for, which of a pool it is not: records that are dropped cut what is still open.
  plain = new Client({ connectionString: database.url })
  await plain.connect()
})
afterAll(async () => {
  await plain.end()
  await app.close()
  await database.drop()
})

/** Every table that holds rows of a garage, by what the database itself knows. */
const tables = async () =>
  (
    await database.sql<{ name: string; secured: boolean }>`
      select c.relname as name, c.relrowsecurity as secured from pg_class c join pg_attribute a on a.attrelid = c.oid
      where c.relkind = 'r' and a.attname = 'garage_id' and not a.attisdropped and c.relnamespace = 'public'::regnamespace order by 1`
  ).map(row => row)

describe('a statement of the application', () => {
  it('that does not say for whom sees no row of any table, and writes none', async () => {
    const all = await tables()
    expect(all.length).toBeGreaterThan(15)
    for (const { name, secured } of all) {
      expect(secured, name).toBe(true)
      expect((await plain.query(`select * from "${name}"`)).rowCount, name).toBe(0)
    }
    for (const name of ['garage', 'account', 'passkey'])
      expect((await plain.query(`select * from ${name}`)).rowCount).toBe(0)
    await expect(
      plain.query('insert into person (id, garage_id, name) values ($1, $2, $3)', [
        crypto.randomUUID(),
        DEMO_GARAGE_ID,
        'x',
      ]),
    ).rejects.toThrow(/row-level security/)
    expect((await plain.query('update vehicle set customer = $1', ['x'])).rowCount).toBe(0)
    expect((await plain.query('delete from wrench')).rowCount).toBe(0)
  })
  it('sees its own garage, whatever it forgets to ask for, and nothing of another', async () => {
    const count = async (garageId: string) => (await seenBy(app.db, garageId).select().from(vehicle)).length
    expect([await count(DEMO_GARAGE_ID), await count(other)]).toEqual([demoVehicles.length, 0])
    expect((await forGarage(app.db, DEMO_GARAGE_ID).jobs.summaries()).length).toBeGreaterThan(0)
  })
  it('finds by words what is its own', async () => {
    const find = (garageId: string) => forGarage(app.db, garageId).words.find('clutch')
    expect((await find(DEMO_GARAGE_ID)).length).toBeGreaterThan(0)
    expect(await find(other)).toEqual([])
    expect((await plain.query("select * from jobs_with_words(to_tsquery('simple', 'clutch'), 10)")).rowCount).toBe(0)
  })
  it('cannot put a row into another garage, nor take one over', async () => {
    const row = { id: crypto.randomUUID(), garageId: DEMO_GARAGE_ID, name: 'Somebody' }
    await expect(inGarage(app.db, other, tx => tx.insert(person).values(row))).rejects.toThrow()
    expect((await inGarage(app.db, other, tx => tx.update(job).set({ garageId: other }).returning())).length).toBe(0)
  })
  it('leaves nothing of whom it saw on the connection', async () => {
    await seenBy(app.db, DEMO_GARAGE_ID).select().from(vehicle)
    const { rows } = await app.pool.query<{ now: string }>(
      "select coalesce(current_setting('eldrin.garage', true), '') as now",
    )
    expect(rows[0]!.now).toBe('')
  })
  it('at the door looks up who it is, and no job', async () => {
    expect((await atTheDoor(app.db).select().from(person)).length).toBeGreaterThan(1)
    expect(await atTheDoor(app.db).select().from(job)).toEqual([])
  })
  it('is no garage’s where that is no garage', () => {
    expect(() => seenBy(app.db, "x'; drop table job; --")).toThrow(TypeError)
  })
})
