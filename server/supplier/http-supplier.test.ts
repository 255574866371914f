import { createServer } from 'node:http'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { httpSupplier } from './http-supplier'

/** Something that sends whoever asks on to somewhere else, and keeps count of who came there. */
let elsewhere = 0
const other = createServer((_request, response) => {
  elsewhere++
  response.end('[]')
})
const sendsOn = createServer((_request, response) => {
  response.writeHead(302, { location: `http://127.0.0.1:${portOf(other)}/quotes` }).end()
})
const portOf = (server: typeof other) => (server.address() as { port: number }).port
beforeAll(async () => {
  for (const server of [other, sendsOn]) await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
})
afterAll(() => {
  other.close()
  sendsOn.close()
})

it('asks nobody but who was named at the start', async () => {
  const supplier = httpSupplier(`http://127.0.0.1:${portOf(sendsOn)}/`)
  await expect(supplier.quotes('a car', ['flywheel'])).rejects.toThrow('does not answer')
  await expect(supplier.state(`//127.0.0.1:${portOf(other)}/x`)).rejects.toThrow('does not answer')
  expect(elsewhere).toBe(0)
})
