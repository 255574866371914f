import { connect, createServer } from 'node:net'
import type { Socket } from 'node:net'

/** A line to a database that can be made to fail: every connection through it is cut, refused, or falls silent. */
export interface Line {
  url: string
  /** Cuts every connection there is. */
  cut: () => void
  /** While silent nothing goes through, either way, and nobody is told. */
  silence: (on: boolean) => void
  /** While refusing, connections are cut and new ones are closed at once. */
  refuse: (on: boolean) => void
  /** The next statement that says so is done, and its answer goes nowhere: the connection is cut. */
  loseAnswerTo: (statement: string) => void
  close: () => Promise<void>
}

/** Opens a line to a database on the loopback. */
export async function lineTo(databaseUrl: string): Promise<Line> {
  const target = new URL(databaseUrl)
  const pairs = new Set<[Socket, Socket]>()
  let silent = false
  let refusing = false
  let lost: string | null = null
  const server = createServer(near => {
    if (refusing) return void near.destroy()
    const far = connect(Number(target.port), target.hostname)
    const pair: [Socket, Socket] = [near, far]
    pairs.add(pair)
    for (const [from, to] of [
      [near, far],
      [far, near],
    ] as const) {
      from.on('data', chunk => {
        if (from === near && lost !== null && chunk.includes(lost)) {
          lost = null
          far.removeAllListeners('data').once('data', () => near.destroy())
        }
        to.write(chunk)
      })
      from.on('error', () => {})
      from.on('close', () => {
        to.destroy()
        pairs.delete(pair)
      })
    }
    if (silent) hush(pair)
  })
  const hush = ([near, far]: [Socket, Socket]) => {
    near.pause()
    far.pause()
  }
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as { port: number }
  const url = new URL(databaseUrl)
  url.port = String(port)
  const cut = () => {
    for (const [near, far] of pairs) {
      near.destroy()
      far.destroy()
    }
  }
  return {
    url: url.href,
    cut,
    silence(on) {
      silent = on
      for (const pair of pairs)
        if (on) hush(pair)
        else for (const socket of pair) socket.resume()
    },
    refuse(on) {
      refusing = on
      if (on) cut()
    },
    loseAnswerTo(statement) {
      lost = statement
    },
    close: () =>
      new Promise(resolve => {
        cut()
        server.close(() => resolve())
      }),
  }
}
