import { keepHere, readHere } from '../log/keep-here'
import { thisKeep } from './open-keep'

const KEY = 'eldrin-erased'

/**
 * Lets go of what this device keeps of jobs that a customer's name has left since it last heard; they are fetched anew without it.
 * What waits to be sent stays.
 * @param erased the first first
 * @returns whether there was any, and the page has to begin anew
 */
export async function letErasedGo(erased: readonly { jobId: string; at: string }[]): Promise<boolean> {
  const heard = readHere(KEY) ?? ''
  const fresh = erased.filter(({ at }) => at > heard)
  if (fresh.length === 0) return false
  const keep = await thisKeep()
  const held = new Set(await keep.jobsRecorded())
  const mine = fresh.filter(({ jobId }) => held.has(jobId))
  for (const { jobId } of mine) await keep.forget(jobId)
  if (mine.length > 0) await keep.forgetAnswers()
  keepHere(KEY, fresh.at(-1)!.at)
  return mine.length > 0
}
