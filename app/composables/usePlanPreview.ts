import { proxy } from 'comlink'
import type { JobStand } from '../../core/job'
import type { Pack } from '../../core/packs'
import type { Past, PlanSetting } from '../../core/sequence'
import type { Difference, PlanPreview } from '../../core/job'

export interface PreviewFor {
  pack: Pack
  options: Record<string, string>
  setting?: Partial<PlanSetting>
  past?: Past | null
  /** How far the job is, when it has begun. */
  stand?: JobStand | null
}

/** Plans in a worker while options are chosen: the plan itself, and for every other choice what it would change. */
export function usePlanPreview(source: () => PreviewFor | null) {
  const preview = shallowRef<PlanPreview | null>(null)
  const differences = ref<Record<string, Difference>>({})
  const problem = ref('')
  const worker = usePlannerWorker()
  watch(
    source,
    async wanted => {
      preview.value = null
      differences.value = {}
      problem.value = ''
      if (!wanted) return worker.cancel()
      try {
        await worker.ask(planner =>
          planner.options(
            posted({ setting: {}, past: null, stand: null, ...wanted }),
            proxy(found => {
              preview.value = found
            }),
            proxy(({ optionId, choiceId, difference }) => {
              differences.value = { ...differences.value, [`${optionId}=${choiceId}`]: difference }
            }),
          ),
        )
      } catch (error) {
        problem.value = (error as Error).message
      }
    },
    { immediate: true },
  )
  return { preview, differences, problem, cancel: worker.cancel }
}
