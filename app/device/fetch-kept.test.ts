import 'fake-indexeddb/auto'
import { FetchError } from 'ofetch'
import { beforeEach, expect, it, vi } from 'vitest'
import { fetchKept } from './fetch-kept'

let answer: () => unknown
beforeEach(() => {
  vi.stubGlobal('$fetch', async () => answer())
})
const fails = (statusCode: number, data?: unknown) => () => {
  throw Object.assign(new FetchError('no'), { statusCode, data })
}

it('gives what the server answers, and what it answered last where nobody does', async () => {
  answer = () => ({ name: 'Garage' })
  expect(await fetchKept('/api/garage')).toEqual({ name: 'Garage' })
  for (const away of [fails(0), fails(503), fails(401), fails(404), () => '<html>Log in to this network</html>']) {
    answer = away
    expect(await fetchKept('/api/garage')).toEqual({ name: 'Garage' })
  }
})
it('tells a no of the server itself, and that nobody answered where nothing is kept', async () => {
  answer = () => ({ name: 'Pack' })
  await fetchKept('/api/packs/x')
  answer = fails(404, { data: { issues: [{ path: 'id', reason: 'There is no such layout.' }] } })
  await expect(fetchKept('/api/packs/x')).rejects.toThrow('no')
  answer = fails(503)
  await expect(fetchKept('/api/never')).rejects.toThrow('no')
})
