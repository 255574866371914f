import { createServer } from 'node:http'
import { getRequestHeader, getResponseStatus, setResponseHeader } from 'h3'
import type { H3Event } from 'h3'
import { log } from '../seen/log'
import { answered, measurePool, registry } from '../seen/measures'
import { numberSetting } from '../setting'

const ID = /^[\w-]{8,64}$/

/** Every request has an id, is told in one line, and is measured. What is measured is read on a port of its own, on this machine alone. */
export default defineNitroPlugin(nitro => {
  if (import.meta.prerender) return
  nitro.hooks.hook('request', event => {
    const said = getRequestHeader(event, 'x-request-id')
    const id = said && ID.test(said) ? said : crypto.randomUUID()
    Object.assign(event.context, { requestId: id, begunAt: performance.now() })
    setResponseHeader(event, 'x-request-id', id)
    // What was refused, or left by who asked, counts as well.
    event.node.res.once('close', () => tell(event))
  })
  nitro.hooks.hook('error', (error, { event }) => {
    if ((error as { statusCode?: number }).statusCode && (error as { statusCode: number }).statusCode < 500) return
    log.error({ id: event?.context.requestId as string | undefined, err: error }, 'fault')
  })
  const port = numberSetting('ELDRIN_METRICS_PORT', 0)
  if (port > 0) serve(port)
})

function tell(event: H3Event): void {
  const { requestId, begunAt, asker } = event.context as {
    requestId?: string
    begunAt?: number
    asker?: { garageId: string; personId: string }
  }
  if (begunAt === undefined || !event.path.startsWith('/api/')) return
  // A stream lasts as long as somebody looks.
  if (String(event.node.res.getHeader('content-type') ?? '').startsWith('text/event-stream')) return
  const ms = performance.now() - begunAt
  // By the file that answers, not by the address: ids would make a measure of each.
  const route = event.context.matchedRoute?.path ?? 'none'
  const status = getResponseStatus(event)
  answered.observe({ method: event.method, route, status }, ms / 1000)
  const { garageId: garage, personId: person } = asker ?? {}
  log.info({ id: requestId, method: event.method, route, status, ms: Math.round(ms), garage, person }, 'answered')
}

function serve(port: number): void {
  measurePool(useDatabase().pool)
  createServer((_request, response) => {
    void registry.metrics().then(text => response.setHeader('content-type', registry.contentType).end(text))
  })
    .listen(port, '127.0.0.1')
    .unref()
}
