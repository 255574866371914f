import { defineStore } from 'pinia'
import { CONTRACT } from '../../contracts/version'
import { reduceJob, summarise } from '../../core/job'
import type { JobSummary } from '../../core/job'
import { follow } from '../links/follow'
import { fetchKept, keptWithTime } from '../device/fetch-kept'

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

  async function load() {
    try {
      const known = await fetchKept<JobSummary[]>('/api/jobs')
      const here = (await device.takenInHere()).filter(({ jobId }) => !known.some(job => job.jobId === jobId))
      jobs.value = [...known, ...here.map(({ log }) => summarise(reduceJob(log)))]
      asOf.value = (await keptWithTime('/api/jobs'))?.at ?? null
      failed.value = false
    } catch {
      failed.value = true
    }
  }

  /** Shows a line as this device has changed it, until the server tells of it. */
  function show(line: JobSummary) {
    jobs.value = jobs.value?.map(job => (job.jobId === line.jobId ? line : job)) ?? null
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
