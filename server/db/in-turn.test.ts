import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { freshDatabase } from '../../tests/support/database'
import type { TestDatabase } from '../../tests/support/database'
import { garageId } from '../../tests/support/requests'
import { openDatabase } from './client'
import { inTurn } from './in-turn'

let database: TestDatabase
beforeAll(async () => {
  database = await freshDatabase()
})
afterAll(() => database.drop())

const pause = () => new Promise(resolve => setTimeout(resolve, 5))

describe('inTurn', () => {
  it('lets nobody in before the other is out, whichever pool they come from', async () => {
    const other = openDatabase(database.url)
    const seen: string[] = []
    const act = (name: string) => async () => {
      seen.push(`${name} in`)
      await pause()
      seen.push(`${name} out`)
    }
    await Promise.all([
      inTurn(database.db, garageId, act('a')),
      inTurn(other.db, garageId, act('b')),
      inTurn(database.db, garageId, act('c')),
    ])
    await other.close()
    const inOrder = seen.filter(said => said.endsWith('in')).map(said => said.charAt(0))
    expect(inOrder.toSorted()).toEqual(['a', 'b', 'c'])
    expect(seen).toEqual(inOrder.flatMap(name => [`${name} in`, `${name} out`]))
  })
  it('goes on after one that failed', async () => {
    const failing = inTurn(database.db, garageId, () => Promise.reject(new Error('no')))
    await expect(failing).rejects.toThrow('no')
    expect(await inTurn(database.db, garageId, () => Promise.resolve('yes'))).toBe('yes')
  })
  it('holds one connection, however many wait', async () => {
    const small = openDatabase(database.url, 2)
    const waiting = Array.from({ length: 6 }, () => inTurn(small.db, garageId, pause))
    await pause()
    expect(small.pool.waitingCount).toBe(0)
    await Promise.all(waiting)
    await small.close()
  })
})
