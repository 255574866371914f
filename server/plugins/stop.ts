import { STOP_MS } from '../how-long'
import { setDraining } from '../seen/draining'
import { numberSetting } from '../setting'
import { stopJobNews } from '../utils/job-feed'
import { closeStreams } from '../utils/live-stream'

/** So long it is asked on after it has said that it goes, so that whoever stands in front sends nobody more; then it takes `SIGUSR2` for the end. */
const DRAIN_MS = numberSetting('ELDRIN_DRAIN_MS', 0)

function goAway(): void {
  stopJobNews()
  void closeStreams()
  // Lines that are kept open are ended by the server itself, which waits for its own signal where it was told which.
  if (DRAIN_MS > 0) process.kill(process.pid, 'SIGUSR2')
  // Whatever holds on to a line: the log is on disk, and the process goes.
  setTimeout(() => process.exit(0), STOP_MS).unref()
}

/** A server that is told to stop tells its streams, finishes what was posted, and is gone. */
export default defineNitroPlugin(nitro => {
  if (import.meta.prerender) return
  process.env.NITRO_SHUTDOWN_TIMEOUT ??= String(STOP_MS - 1000)
  for (const signal of ['SIGTERM', 'SIGINT'] as const) {
    process.once(signal, () => {
      setDraining()
      setTimeout(goAway, DRAIN_MS)
    })
  }
  nitro.hooks.hook('close', () => useDatabase().close())
})
