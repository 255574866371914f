import { defineStore } from 'pinia'
import type { JobSummary } from '../../core/job'
import { follow } from '../lib/follow'

/** The jobs of the garage, one line each, kept current by the server's stream. */
export const useYardStore = defineStore('yard', () => {
  const jobs = shallowRef<JobSummary[] | null>(null)
  const failed = ref(false)
  const connected = ref(false)

  async function load() {
    try {
      jobs.value = await $fetch<JobSummary[]>('/api/jobs')
      failed.value = false
    }
    catch {
      failed.value = true
    }
  }

  /** Loads and keeps loading as things happen. Returns what ends it. */
  function watchYard(): () => void {
    void load()
    return follow(() => '/api/stream', () => void load(), (isConnected) => {
      if (isConnected && !connected.value) void load()
      connected.value = isConnected
    })
  }
  return { jobs, failed, connected, load, watchYard }
})
