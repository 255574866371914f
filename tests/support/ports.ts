import { createServer } from 'node:net'

/** Below what the system gives to whoever asks for any port, so that no outgoing line ever takes one of these. */
const FIRST = 20_000
const COUNT = 10_000
/** Who holds a port at this address of the loopback has it at the usual one: every process of the tests asks here first. */
const HELD_AT = '127.0.0.2'

let next = (process.pid * 61) % COUNT

/** A port of the loopback that is this process’s own for as long as it lives, whether something listens there or not. */
export async function heldPort(): Promise<number> {
  for (let tried = 0; tried < COUNT; tried++) {
    const port = FIRST + next
    next = (next + 1) % COUNT
    if ((await listens(port, HELD_AT, true)) && (await listens(port, '127.0.0.1', false))) return port
  }
  throw new Error('no port is free')
}

const listens = (port: number, host: string, goesOn: boolean): Promise<boolean> =>
  new Promise(resolve => {
    const server = createServer()
      .once('error', () => resolve(false))
      .listen(port, host, () => {
        if (goesOn) server.unref()
        else server.close()
        resolve(true)
      })
  })
