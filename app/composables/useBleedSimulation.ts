import type { BleedLine, BleedPhysics, BleedReport } from '../../core/hydraulics'
import type { BleedingWorker, WayOutcome } from '../workers/bleeding'

/** A bleeding simulated in a worker, anew whenever line, way or seed change; an older answer is passed over. */
export function useBleedSimulation(
  line: Ref<BleedLine | null>,
  ways: Ref<readonly BleedPhysics[]>,
  wayId: Ref<string>,
  seed: Ref<number>,
) {
  const report = shallowRef<BleedReport | null>(null)
  const outcomes = shallowRef<WayOutcome[]>([])
  const problem = ref('')
  const { ask } = useLastAsked<BleedingWorker>(
    () => new Worker(new URL('../workers/bleeding.ts', import.meta.url), { type: 'module' }),
  )
  watch(
    [line, ways, wayId, seed],
    async () => {
      if (!line.value) return
      const [on, all] = [posted(line.value), posted([...ways.value])]
      problem.value = ''
      try {
        await ask(async worker => {
          report.value = await worker.simulate(
            on,
            all.find(way => way.id === wayId.value)!,
            seed.value,
          )
          outcomes.value = await worker.compare(on, all, seed.value)
        })
      } catch (error) {
        problem.value = (error as Error).message
      }
    },
    { immediate: true, deep: true },
  )
  return { report, outcomes, problem }
}
