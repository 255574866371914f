import type { PackAnswer, PackAsk } from '../lib/pack-messages'

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
      worker!.onmessage = ({ data }: MessageEvent<PackAnswer>) => resolve(data.ask === number ? data : null)
      worker!.postMessage({ ask, yaml, terms: JSON.parse(JSON.stringify(garage.garage!.terms)) } satisfies PackAsk)
    })
  }
  onUnmounted(() => worker?.terminate())
  return { check }
}
