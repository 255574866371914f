import type { Pack } from '../../core/packs'
import type { PlanPreview, PlannerAnswer, PlannerAsk } from '../lib/planner-messages'

/**
 * Plans in a worker while options are chosen: the plan itself, and for every other choice the difference in minutes.
 * A new choice ends what is being planned for the old one.
 */
export function usePlanPreview(pack: Ref<Pack | null>, options: Ref<Record<string, string>>) {
  const preview = shallowRef<PlanPreview | null>(null)
  const differences = ref<Record<string, number>>({})
  let worker: Worker | null = null
  let ask = 0

  function plan() {
    worker?.terminate()
    preview.value = null
    differences.value = {}
    if (!pack.value) return
    worker = new Worker(new URL('../workers/planner.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<PlannerAnswer>) => {
      if (data.ask !== ask) return
      if (data.kind === 'chosen') preview.value = data.preview
      else differences.value = { ...differences.value, [`${data.optionId}=${data.choiceId}`]: data.minutes }
    }
    worker.postMessage({ ask: ++ask, pack: toRaw(pack.value), options: { ...options.value } } satisfies PlannerAsk)
  }
  watch([pack, options], plan, { immediate: true, deep: true })
  onUnmounted(() => worker?.terminate())
  return { preview, differences }
}
