import type { JobStand } from '../../core/job'
import type { Pack } from '../../core/packs'
import type { Past, PlanSetting } from '../../core/sequence'
import type { Difference, PlanPreview } from '../lib/planner-messages'

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
  const worker = usePlannerWorker((answer) => {
    if (answer.kind === 'chosen') preview.value = answer.preview
    else if (answer.kind === 'difference') differences.value = { ...differences.value, [`${answer.optionId}=${answer.choiceId}`]: answer.difference }
    else if (answer.kind === 'failed') problem.value = answer.reason
  })
  watch(source, (wanted) => {
    preview.value = null
    differences.value = {}
    problem.value = ''
    if (!wanted) return worker.cancel()
    worker.ask({ kind: 'options', setting: {}, past: null, stand: null, ...wanted })
  }, { immediate: true })
  return { preview, differences, problem, cancel: worker.cancel }
}
