import { defineEventHandler, getQuery, setResponseHeader } from 'h3'
import type { H3Event } from 'h3'
import { CONTRACT, CONTRACT_HEADER, NOT_UNDERSTOOD, understands } from '../../contracts/version'
import { Refused } from '../refused'
import { customersHost, isForCustomers } from '../shared/customers-host'
import { answerTo } from '../utils/route'

/** The names this machine has for itself; what else Eldrin is reached by stands in `ELDRIN_HOSTS`, with commas between. */
const OWN_NAMES = ['localhost', '127.0.0.1', '[::1]']
const hosts = new Set([
  ...OWN_NAMES,
  ...(process.env.ELDRIN_HOSTS ?? '')
    .split(',')
    .map(name => name.trim().toLowerCase())
    .filter(Boolean),
])
const CHANGES_NOTHING = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Looks at every request before any route does: whom it is meant for, where it comes from, and whether its address can be read. */
export default defineEventHandler(event => {
  try {
    wantOwnHost(event)
    wantReadablePath(event)
    if (!CHANGES_NOTHING.has(event.method)) wantOwnPage(event)
    wantUnderstood(event)
  } catch (error) {
    throw answerTo(event, error)
  }
  if (event.method === 'HEAD') answerHead(event)
})

/** Another name that leads here may belong to somebody else's page, which would then read what is kept here. */
function wantOwnHost(event: H3Event): void {
  const name = (event.node.req.headers.host ?? '').toLowerCase().replace(/:\d+$/, '')
  if (name === customersHost()) {
    if (isForCustomers(event.path)) return
    throw new Refused(404, [{ path: 'address', reason: 'There is nothing here.' }])
  }
  if (!hosts.has(name))
    throw new Refused(421, [
      {
        path: 'host',
        reason: `Eldrin does not answer to "${name.slice(0, 100)}". Names it is reached by stand in ELDRIN_HOSTS.`,
      },
    ])
}

function wantReadablePath(event: H3Event): void {
  let path: string
  try {
    path = decodeURIComponent(event.path.replaceAll('+', ' '))
  } catch {
    throw new Refused(400, [{ path: 'address', reason: 'This address cannot be read.' }])
  }
  if (path.includes('\0')) throw new Refused(400, [{ path: 'address', reason: 'A zero sign stands in this address.' }])
}

/** A page of somebody else can make a browser post, but only as a form or as plain text, and the browser says where from. */
function wantOwnPage(event: H3Event): void {
  const {
    origin,
    host,
    'sec-fetch-site': site,
    'content-type': type,
    'content-length': length,
    'transfer-encoding': chunked,
  } = event.node.req.headers
  if (origin !== undefined && origin.replace(/^https?:\/\//, '') !== host)
    throw new Refused(403, [{ path: 'origin', reason: 'This comes from another page. Nothing was changed.' }])
  if (site === 'cross-site' || site === 'same-site')
    throw new Refused(403, [{ path: 'sec-fetch-site', reason: 'This comes from another page. Nothing was changed.' }])
  const hasBody = chunked !== undefined || Number(length ?? 0) > 0
  if (hasBody && !/^application\/json\b/i.test(type ?? ''))
    throw new Refused(415, [{ path: 'content-type', reason: 'JSON is wanted here.' }])
}

/** A page of another Eldrin may mean something else by the same words. Who does not say which it is, is taken for one of today. */
function wantUnderstood(event: H3Event): void {
  if (!event.path.startsWith('/api/')) return
  const said = event.node.req.headers[CONTRACT_HEADER] ?? getQuery(event).contract
  if (said === undefined || understands(CONTRACT, Number(said))) return
  setResponseHeader(event, CONTRACT_HEADER, String(CONTRACT))
  const reason =
    Number(said) > CONTRACT
      ? 'This server has an older Eldrin than the page.'
      : 'This server has a newer Eldrin than the page.'
  throw new Refused(NOT_UNDERSTOOD, [{ path: 'contract', reason }])
}

/** What a GET would answer, without its body: Node sends none to who asks so. */
function answerHead(event: H3Event): void {
  event.context.head = true
  event.node.req.method = 'GET'
  Object.assign(event, { _method: 'GET' })
}
