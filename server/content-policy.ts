import { createHash } from 'node:crypto'

/** A script that stands in the page itself; what it is lies between the two groups. */
const INLINE_SCRIPT = /<script(?![^>]*\bsrc=)[^>]*>([\s\S]*?)<\/script>/g

/**
 * What a page may load: everything comes from the application itself; gauges and wrenches are spoken to over sockets of this machine.
 * No script runs that stands in a page, but those that the page was made with, by their own words.
 * @param page the page as it is sent
 */
export function contentPolicy(page = ''): string {
  const own = [...page.matchAll(INLINE_SCRIPT)]
    .map(([, script]) => script!)
    .filter(script => script.trim() !== '')
    .map(script => `'sha256-${createHash('sha256').update(script).digest('base64')}'`)
  return [
    "default-src 'self'",
    ["script-src 'self'", ...new Set(own)].join(' '),
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self' ws: wss:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
}
