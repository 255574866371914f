import { createServer } from 'node:net'
import { afterAll, expect, it } from 'vitest'
import { serverUrl } from '../../tests/support/database'
import { hostsOf, lookAgain, nowAt, writableUrl } from './hosts'

/** A machine that takes a line and says nothing. */
const silent = createServer(() => {}).listen(0, '127.0.0.1')
afterAll(() => silent.close())

it('goes to the machine that takes writes, whichever is named first', async () => {
  const { port } = silent.address() as { port: number }
  const writable = serverUrl()
  for (const dead of ['postgres://eldrin@127.0.0.1:1/postgres', `postgres://eldrin@127.0.0.1:${port}/postgres`]) {
    const addresses = `${dead},${writable}`
    expect(hostsOf(addresses)).toEqual([dead, writable])
    expect(nowAt(addresses)).toBe(dead)
    expect(await writableUrl(addresses)).toBe(writable)
    expect(nowAt(addresses)).toBe(writable)
  }
})

it('goes on where it was while none answers, and finds out by itself when one does', async () => {
  const none = 'postgres://eldrin@127.0.0.1:1/postgres,postgres://eldrin@127.0.0.1:2/postgres'
  expect(await writableUrl(none)).toBe('postgres://eldrin@127.0.0.1:1/postgres')
  const addresses = `postgres://eldrin@127.0.0.1:3/postgres,${serverUrl()}`
  lookAgain(addresses)
  await expect.poll(() => nowAt(addresses)).toBe(serverUrl())
})

it('asks nobody where there is but one', async () => {
  expect(await writableUrl('postgres://nowhere/x')).toBe('postgres://nowhere/x')
})
