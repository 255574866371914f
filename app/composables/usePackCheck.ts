import { promiseTimeout } from '@vueuse/core'
import type { PackCheck, PackFindings } from '../workers/pack-check'

/** A text that is being written and takes longer, in ms, is not read by the server either. */
const PATIENCE_MS = 20_000
/** A layout that the server has read already is looked at for longer, on whatever device. */
export const KNOWN_PATIENCE_MS = 120_000
/** The text itself could not be looked at. */
const unread = (reason: string): PackFindings => ({
  problems: [{ path: '', reason, line: 1, from: 0, to: 1 }],
  preview: null,
  id: null,
  linkCount: 0,
})
const tooLong = (patienceMs: number) =>
  unread(`Reading this takes longer than ${patienceMs / 1000} seconds. Make it smaller or simpler.`)

/** Checks pack texts in a worker; a new text takes the place of one that is still being looked at. */
export function usePackCheck() {
  const garage = useGarageStore()
  const { ask, cancel } = useLastAsked<PackCheck>(
    () => new Worker(new URL('../workers/pack-check.ts', import.meta.url), { type: 'module' }),
  )
  let asked = 0

  /** @returns what was found, or `null` when another text came in between */
  async function check(yaml: string, patienceMs = PATIENCE_MS): Promise<PackFindings | null> {
    const mine = ++asked
    const late = promiseTimeout(patienceMs).then(() => tooLong(patienceMs))
    const answer = ask(worker => worker.check(yaml, posted(garage.garage!.terms)))
    const found = await Promise.race([answer.catch((error: Error) => unread(error.message)), late])
    if (mine !== asked) return null
    cancel()
    return found
  }
  return { check }
}
