import type { Server } from 'node:http'

export interface RunningStandIn {
  server: Server
  port: number
  close: () => Promise<void>
}

/**
 * Lets a stand-in listen on the loopback, on the port named or a free one for 0.
 * @param before called before it is closed, to send its clients away
 */
export function listen(server: Server, port: number, before: () => void): Promise<RunningStandIn> {
  return new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, '127.0.0.1', () => {
      const address = server.address()
      resolve({
        server,
        port: typeof address === 'object' && address ? address.port : port,
        close: () =>
          new Promise(done => {
            before()
            server.close(() => done())
          }),
      })
    })
  })
}
