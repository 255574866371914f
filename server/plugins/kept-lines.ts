import type { Server } from 'node:http'

/**
 * Longer than whoever asks again keeps a line open without a word (a proxy in front of it: a minute): a line that the server ends just
 * as the next question is on its way loses that question.
 */
const KEPT_OPEN_MS = 75_000

/** Lines stay open between two questions, and the one who asks is the one who ends them. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('request', event => {
    const { server } = event.node.req.socket as unknown as { server?: Server }
    if (server) server.keepAliveTimeout = KEPT_OPEN_MS
  })
})
