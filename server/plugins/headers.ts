import { removeResponseHeader, setResponseHeader } from 'h3'
import { partsOfWork } from '#parts-of-work'
import { contentPolicy } from '../content-policy'
import { isBehindTls } from '../who/tls'

const YEAR_SECONDS = 31_536_000

/** What a page says of itself and its parts need not repeat, a browser asks for dozens of them; nor when they changed: their names say it. */
const PAGE_ONLY = [
  'referrer-policy',
  'x-frame-options',
  'cross-origin-opener-policy',
  'permissions-policy',
  'etag',
  'last-modified',
]

/** What Work is made of is fetched while the page's first part is still read; a customer's page has no use for it. */
const aheadOf = (path: string) =>
  path.startsWith('/s/')
    ? []
    : partsOfWork
        .filter(file => file.endsWith('.js'))
        .map(file => `<link rel="modulepreload" as="script" crossorigin href="/_nuxt/${file}">`)

export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    html.head.push(...aheadOf(event.path))
  })
  nitro.hooks.hook('render:response', response => {
    if (!response.headers) return
    // The page does not say what it was made with.
    delete response.headers['x-powered-by']
    if (typeof response.body === 'string') response.headers['content-security-policy'] = contentPolicy(response.body)
  })
  // Whoever came over TLS once never comes without it again.
  nitro.hooks.hook('request', event => {
    if (isBehindTls(event)) setResponseHeader(event, 'strict-transport-security', `max-age=${YEAR_SECONDS}`)
    // What the device keeps it keeps itself; nothing in between does.
    if (event.path.startsWith('/api/')) setResponseHeader(event, 'cache-control', 'no-store')
  })
  nitro.hooks.hook('beforeResponse', event => {
    if (!event.path.startsWith('/_nuxt/')) return
    for (const name of PAGE_ONLY) removeResponseHeader(event, name)
    // A worker lives by what its own script says.
    setResponseHeader(event, 'content-security-policy', "default-src 'self'")
  })
})
