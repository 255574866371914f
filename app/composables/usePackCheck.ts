import type { PackAnswer, PackAsk } from '../lib/pack-messages'

/** A text that takes longer, in ms, is not read by the server either. */
const PATIENCE_MS = 20_000
const tooLong = (ask: number): PackAnswer => ({ ask, problems: [{ path: '', reason: 'Reading this takes longer than 20 seconds. Make it smaller or simpler.', line: 1, from: 0, to: 1 }], preview: null, id: null, linkCount: 0 })

/** Checks pack texts in a worker; a new text takes the place of one that is still being looked at. */
export function usePackCheck() {
  const garage = useGarageStore()
  let worker: Worker | null = null
  let number = 0

  /** @returns what was found, or `null` when another text came in between */
  function check(yaml: string): Promise<PackAnswer | null> {
    const ask = ++number
    worker?.terminate()
    worker = new Worker(new URL('../workers/pack-check.ts', import.meta.url), { type: 'module' })
    return new Promise((resolve) => {
      const timer = setTimeout(() => {
        if (ask !== number) return resolve(null)
        worker?.terminate()
        resolve(tooLong(ask))
      }, PATIENCE_MS)
      worker!.onmessage = ({ data }: MessageEvent<PackAnswer>) => {
        clearTimeout(timer)
        resolve(data.ask === number ? data : null)
      }
      worker!.postMessage({ ask, yaml, terms: JSON.parse(JSON.stringify(garage.garage!.terms)) } satisfies PackAsk)
    })
  }
  onUnmounted(() => worker?.terminate())
  return { check }
}
