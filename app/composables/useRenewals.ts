import { renewalLines, renewalPackages } from '../../core/job'
import type { Reach, RenewalLine } from '../../core/job'

/** Every part in reach, priced and weighed: renew it while it is open, or leave it. */
export function useRenewals() {
  const { store, state } = useJob()
  const { pack, gone } = usePack()
  const quotes = useQuotes()
  const { rates } = useMoney()
  const reach = shallowRef<Record<string, Reach>>({})
  const problem = ref('')
  const worker = usePlannerWorker()
  watch(
    () => [pack.value, gone.value, state.value.procedure, Object.keys(state.value.done).join(' ')] as const,
    async ([ready, missing, procedure]) => {
      if (!procedure || !(ready || missing)) return
      const stand = { done: Object.keys(state.value.done), car: state.value.car }
      try {
        reach.value = await worker.ask(planner => planner.reach(posted(procedure), posted(ready), stand))
      } catch (error) {
        problem.value = (error as Error).message
      }
    },
    { immediate: true },
  )

  const lines = computed(() =>
    renewalLines(state.value, rates.value, reach.value, part => quotes.quotes.value.get(part)?.priceEach ?? null),
  )
  const packages = computed(() => renewalPackages(lines.value, rates.value))

  /** Puts other figures into the question of a part. */
  function weigh(
    line: RenewalLine,
    change: Partial<{
      partCost: number | null
      minutesNow: number | null
      minutesLater: number | null
      chance: number
      comebackCost: number
      newFails: number
      yearsLater: number
    }>,
  ) {
    const before = state.value.renewals[line.part.id]?.weighed
    store.write('renewal-weighed', {
      partId: line.part.id,
      partCost: before?.partCost ?? null,
      minutesNow: before?.minutesNow ?? null,
      minutesLater: before?.minutesLater ?? null,
      chance: line.chance,
      comebackCost: line.comebackCost,
      newFails: line.newFails,
      yearsLater: line.yearsLater,
      ...change,
    })
  }
  return {
    lines,
    packages,
    weigh,
    quotes,
    gone,
    problem,
    waiting: computed(() => Object.keys(reach.value).length === 0 && !problem.value),
  }
}
