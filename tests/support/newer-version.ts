import { createServer, request } from 'node:http'

/** The application behind a door that can hand out a newer service worker: the same one, with another word at its end. */
export async function withNewerVersion(base: string) {
  const { hostname, port } = new URL(base)
  let version = 0
  const door = createServer((asked, answer) => {
    const { 'if-none-match': _tag, 'if-modified-since': _since, ...headers } = asked.headers
    const passed = request({ hostname, port, path: asked.url, method: asked.method, headers }, given => {
      const isShell = asked.url === '/service-worker.js' && version > 0
      const { 'content-length': _length, etag: _etag, ...headers } = given.headers
      answer.writeHead(given.statusCode!, isShell ? headers : given.headers)
      given.on('error', () => answer.destroy())
      given.pipe(answer, { end: !isShell })
      if (isShell) given.on('end', () => answer.end(`\n/* version ${version} */`))
    })
    passed.on('error', () => answer.destroy())
    answer.on('close', () => passed.destroy())
    asked.pipe(passed)
  })
  await new Promise<void>(resolve => door.listen(0, '127.0.0.1', resolve))
  const { port: own } = door.address() as { port: number }
  return {
    base: `http://127.0.0.1:${own}`,
    /** From now on there is a newer version than before. */
    renew: () => {
      version++
    },
    close: () => {
      door.closeAllConnections()
      return new Promise<void>(resolve => door.close(() => resolve()))
    },
  }
}
