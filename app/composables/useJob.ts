import { nextStep, openEntries } from '../../core/job'

/** What every view of a job needs of its state. */
export function useJob() {
  const store = useJobStore()
  const state = computed(() => store.state)
  return {
    store,
    state,
    next: computed(() => nextStep(store.state)),
    open: computed(() => openEntries(store.state)),
    path: (view: string) => `/jobs/${store.jobId}/${view}`,
  }
}
