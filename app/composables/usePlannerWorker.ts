import type { PlannerAnswer, PlannerAsk } from '../lib/planner-messages'

type WithoutNumber<T> = T extends { ask: number } ? Omit<T, 'ask'> : never

/**
 * The planner in a worker. A new question ends the work on the one before; so does leaving the view.
 * @param onAnswer called with answers to the current question only
 */
export function usePlannerWorker(onAnswer: (answer: PlannerAnswer) => void) {
  let worker: Worker | null = null
  let number = 0
  const busy = ref(false)

  function cancel() {
    worker?.terminate()
    worker = null
    number++
    busy.value = false
  }

  function ask(question: WithoutNumber<PlannerAsk>) {
    cancel()
    const current = number
    busy.value = true
    worker = new Worker(new URL('../workers/planner.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<PlannerAnswer>) => {
      if (data.ask !== current) return
      if (data.kind === 'planned' || data.kind === 'reach' || data.kind === 'finish' || data.kind === 'failed') busy.value = false
      onAnswer(data)
    }
    worker.postMessage({ ...JSON.parse(JSON.stringify(question)), ask: current })
  }

  onUnmounted(cancel)
  return { ask, cancel, busy }
}
