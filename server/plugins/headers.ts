import { removeResponseHeader, setResponseHeader } from 'h3'

/** What a page says of itself and its parts need not repeat: a browser asks for dozens of them. */
const PAGE_ONLY = ['referrer-policy', 'x-frame-options', 'cross-origin-opener-policy', 'permissions-policy']

export default defineNitroPlugin(nitro => {
  // The page does not say what it was made with.
  nitro.hooks.hook('render:response', response => {
    if (response.headers) delete response.headers['x-powered-by']
  })
  nitro.hooks.hook('beforeResponse', event => {
    if (!event.path.startsWith('/_nuxt/')) return
    for (const name of PAGE_ONLY) removeResponseHeader(event, name)
    // A worker lives by what its own script says.
    setResponseHeader(event, 'content-security-policy', "default-src 'self'")
  })
})
