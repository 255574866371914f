import { defineStore } from 'pinia'
import { CONTRACT } from '../../contracts/version'
import type { JobSummary } from '../../core/job'
import { follow } from '../links/follow'
import { fetchKept, keptWithTime } from '../device/fetch-kept'
import type { DeviceJob } from '../log/device-job'
import { lineHere, linesKnown } from '../log/lines-known'

/** How soon an answer is asked for that did not come in time. */
const AGAIN_MS = 4_000

/** The jobs of the garage, one line each, kept current by the server's stream. */
export const useYardStore = defineStore('yard', () => {
  const device = useDeviceStore()
  const errands = useErrandsStore()
  const jobs = shallowRef<JobSummary[] | null>(null)
  const failed = ref(false)
  /** When the server told of the lines that are shown, ISO 8601. */
  const asOf = ref<string | null>(null)
  const connected = ref(false)
  /** Whether the server was listened for and did not answer. */
  const isLost = ref(false)

  let loading: Promise<void> | null = null
  let isAskedAgain = false
  /** One after another, so that no late answer hides a newer one; whoever asks meanwhile has it asked once more. */
  function load(): Promise<void> {
    if (loading) {
      isAskedAgain = true
      return loading
    }
    loading = (async () => {
      do {
        isAskedAgain = false
        await loadOnce()
      } while (isAskedAgain)
    })().finally(() => {
      loading = null
    })
    return loading
  }
  async function loadOnce() {
    try {
      const known = await fetchKept<JobSummary[]>('/api/jobs')
      jobs.value = linesKnown(known, await device.knownHere())
      const at = (await keptWithTime('/api/jobs'))?.at ?? null
      // What the device had kept was shown in place of an answer that was too slow: the next may be in time.
      if (at !== null && at === asOf.value && connected.value) setTimeout(() => void load(), AGAIN_MS)
      asOf.value = at
      failed.value = false
    } catch {
      failed.value = true
    }
  }

  /** Shows a job as this device has just changed it. */
  function show(job: DeviceJob) {
    jobs.value = jobs.value?.map(line => (line.jobId === job.jobId ? lineHere(job) : line)) ?? null
  }

  /** Loads and keeps loading as things happen. Returns what ends it. */
  function watchYard(): () => void {
    void load()
    return follow(
      () => `/api/stream?contract=${CONTRACT}`,
      () => void load(),
      isConnected => {
        if (isConnected && !connected.value) {
          void load()
          void errands.run()
        }
        connected.value = isConnected
        isLost.value = !isConnected
      },
    )
  }
  return { jobs, failed, asOf, connected, isLost, load, show, watchYard }
})
