import { stopJobNews } from '../utils/job-feed'
import { closeStreams } from '../utils/live-stream'

/** Nobody waits longer for a server that was told to stop; posts are done long before. */
const STOP_MS = 5_000

/** A server that is told to stop tells its streams, finishes what was posted, and is gone. */
export default defineNitroPlugin(nitro => {
  if (import.meta.prerender) return
  process.env.NITRO_SHUTDOWN_TIMEOUT ??= String(STOP_MS - 1000)
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      stopJobNews()
      void closeStreams()
      // Whatever holds on to a line: the log is on disk, and the process goes.
      setTimeout(() => process.exit(0), STOP_MS).unref()
    })
  }
  nitro.hooks.hook('close', () => useDatabase().close())
})
