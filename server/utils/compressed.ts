import { promisify } from 'node:util'
import { gzip } from 'node:zlib'
import { getHeader, setHeader } from 'h3'
import type { H3Event } from 'h3'

const squeeze = promisify(gzip)
/** Below this a packet is a packet. */
const WORTH_IT = 1400

/** Answers with JSON, compressed where the caller takes it: a job's log carries its whole plan, and signal is bad. */
export async function sendJson(event: H3Event, value: unknown): Promise<Buffer | string> {
  const text = JSON.stringify(value)
  setHeader(event, 'content-type', 'application/json')
  setHeader(event, 'vary', 'accept-encoding')
  if (text.length < WORTH_IT || !getHeader(event, 'accept-encoding')?.includes('gzip')) return text
  setHeader(event, 'content-encoding', 'gzip')
  return squeeze(text)
}
