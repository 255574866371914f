import type { BleedLine, BleedMethod, BleedReport } from '../../core/hydraulics'
import type { BleedAnswer, BleedQuestion, WayOutcome } from '../workers/bleeding'

/** A bleeding simulated in a worker, anew whenever line, method or seed change; an older answer is passed over. */
export function useBleedSimulation(line: Ref<BleedLine | null>, method: Ref<BleedMethod>, seed: Ref<number>) {
  const report = shallowRef<BleedReport | null>(null)
  const ways = shallowRef<WayOutcome[]>([])
  const problem = ref('')
  const worker = new Worker(new URL('../workers/bleeding.ts', import.meta.url), { type: 'module' })
  let asked = 0
  worker.onmessage = ({ data }: MessageEvent<BleedAnswer>) => {
    if (data.id !== asked) return
    if ('report' in data) report.value = data.report
    if ('ways' in data) ways.value = data.ways
    problem.value = 'reason' in data ? data.reason : ''
  }
  watch([line, method, seed], () => {
    if (!line.value) return
    asked++
    worker.postMessage({ id: asked, line: { ...line.value, pieces: line.value.pieces.map(piece => ({ ...piece })) }, method: method.value, seed: seed.value } satisfies BleedQuestion)
  }, { immediate: true, deep: true })
  onBeforeUnmount(() => worker.terminate())
  return { report, ways, problem }
}
