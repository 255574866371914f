import { shallowRef } from 'vue'
import type { Judge, JudgeKind } from '../../core/bench/judgement'

/**
 * The computations of the bench, which Work does without until something has been measured: they are fetched once the first view stands,
 * and take the place of `core/bench/judges/at-hand` in the browser.
 */
const fetched = shallowRef<Record<JudgeKind, Judge> | null>(null)

/** Somebody asked for a verdict before the computations were here. */
export class JudgesAway extends Error {
  override name = 'JudgesAway'
  constructor() {
    super('What the bench computes with is still being fetched. Try again in a moment.')
  }
}

/** Whether they are here. */
export const areJudgesHere = () => fetched.value !== null

/** Fetches them, once. */
export async function fetchJudges(): Promise<void> {
  fetched.value ??= (await import('../../core/bench/judges')).judges
}

/** The computation of a kind. @throws JudgesAway before they are here */
export function judgeOf(kind: JudgeKind): Judge {
  if (!fetched.value) throw new JudgesAway()
  return fetched.value[kind]
}
