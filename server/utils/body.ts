import { setHeader } from 'h3'
import type { H3Event } from 'h3'
import { Refused } from '../refused'

/** How large a body may be, in bytes, by what it brings. */
export const largest = { act: 256_000, layout: 2_000_000, jobFile: 20_000_000 }

/** So long a caller who goes on sending is still listened to, so that the refusal is read before the line is cut. */
const DRAIN_MS = 1_000

/**
 * The body of a request.
 * @throws Refused 413 as soon as more than `most` bytes are announced or have come; the rest is thrown away and the line cut
 */
export async function readBytes(event: H3Event, most: number): Promise<Buffer> {
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > most) throw tooLarge(event, most)
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let size = 0
    req.on('data', (chunk: Buffer) => {
      size += chunk.length
      if (size <= most) {
        chunks.push(chunk)
        return
      }
      req.removeAllListeners('data')
      chunks.length = 0
      reject(tooLarge(event, most))
    })
    req.on('end', () => resolve(Buffer.concat(chunks)))
    req.on('error', () => reject(new Refused(400, [{ path: '', reason: 'The line broke before all of it had come.' }])))
  })
}

function tooLarge(event: H3Event, most: number): Refused {
  const { req } = event.node
  setHeader(event, 'connection', 'close')
  req.on('data', () => {})
  setTimeout(() => req.socket.destroy(), DRAIN_MS).unref()
  return new Refused(413, [
    {
      path: '',
      reason: `That is more than the ${most >= 1_000_000 ? `${most / 1_000_000} MB` : `${most / 1000} kB`} that are taken at once here.`,
    },
  ])
}
