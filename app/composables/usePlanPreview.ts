import type { JobStand } from '../../core/job'
import type { Pack } from '../../core/packs'
import type { Past, PlanSetting } from '../../core/sequence'
import type { Difference, PlanPreview } from '../../core/job'
import type { OptionDifference } from '../workers/planner'

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
        const found = await worker.ask((planner, heard) =>
          planner.options(
            posted({ setting: {}, past: null, stand: null, ...wanted }),
            heard((chosen: PlanPreview) => {
              preview.value = chosen
            }),
            heard(({ optionId, choiceId, difference }: OptionDifference) => {
              differences.value = { ...differences.value, [`${optionId}=${choiceId}`]: difference }
            }),
          ),
        )
        preview.value = found.chosen
        differences.value = Object.fromEntries(
          found.differences.map(({ optionId, choiceId, difference }) => [`${optionId}=${choiceId}`, difference]),
        )
      } catch (error) {
        problem.value = (error as Error).message
      }
    },
    { immediate: true },
  )
  return { preview, differences, problem, cancel: worker.cancel }
}
