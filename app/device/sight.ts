import { may } from '../../core/people/roles'
import type { Role } from '../../core/people/roles'
import { keepHere, readHere } from '../log/keep-here'
import { thisKeep } from './open-keep'

const KEY = 'eldrin-sees'

/** What of a job somebody of a role may read, as a word: what this device keeps was read by its eyes. */
const sightOf = (role: Role): string =>
  ['see-customers' as const, 'see-money' as const].filter(permission => may(role, permission)).join(' ') || 'neither'

/** Whether two roles read the same of a job. */
export const seesTheSame = (one: Role, other: Role): boolean => sightOf(one) === sightOf(other)

/**
 * Whoever works with this device now may read more or less than whoever did before: what it has kept of logs and answers is forgotten,
 * to be fetched anew with their eyes. What waits to be sent stays.
 * @returns whether it was so, and the page has to begin anew
 */
export async function seesOtherwise(role: Role): Promise<boolean> {
  const [before, now] = [readHere(KEY), sightOf(role)]
  if (before === now) return false
  if (before !== null) {
    const keep = await thisKeep()
    for (const jobId of await keep.jobsRecorded()) await keep.forget(jobId)
    await keep.forgetAnswers()
  }
  keepHere(KEY, now)
  return before !== null
}
