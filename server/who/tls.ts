import { getRequestProtocol } from 'h3'
import type { H3Event } from 'h3'

/** Whether the caller came over TLS; what a proxy says of it counts where one stands in front (`ELDRIN_PROXY=1`). */
export function isBehindTls(event: H3Event): boolean {
  return getRequestProtocol(event, { xForwardedProto: process.env.ELDRIN_PROXY === '1' }) === 'https'
}
