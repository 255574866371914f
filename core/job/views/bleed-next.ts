import type { JobState } from '../chapters'
import { wayNow } from '../chapters/bleeding/ways'
import { bleedAir } from './bleed-air'

/** What the rounds so far advise: go on, rest, go another way, or look for something that is not air. */
export interface BleedNext {
  act: 'rest' | 'switch' | 'test'
  say: string
}

/** So many rounds without a rest, or without any bubble, are enough to draw a conclusion. Common practice, no source. */
const ROUNDS = 2

/** What to do after the rounds so far; `null` where going on as before is right. Advice is trade practice, from memory. */
export function bleedNext(state: JobState, stepId: string): BleedNext | null {
  const way = wayNow(state, stepId)
  const judged = (state.bleeding[stepId]?.rounds ?? []).filter(round => round.feel !== null)
  const last = judged.slice(-ROUNDS)
  if (!way || last.length < ROUNDS || last.at(-1)!.feel === 'firm') return null
  const air = bleedAir(state, stepId)
  if (last.every(round => round.bubbles === 'none') && last.every(round => round.feel === 'soft')) {
    return {
      act: 'test',
      say: 'No bubble came in two rounds, and it is still soft: look for a swelling hose, a seal that lets past, or a rod set short, before more fluid goes through.',
    }
  }
  if (air?.forecast && air.forecast.rounds === null && !air.good)
    return { act: 'switch', say: 'The lost travel does not shrink. More of the same will not help: go on another way.' }
  if (last.every(round => round.restSince === null) && way.counts === 'strokes') {
    return {
      act: 'rest',
      say: `Soft after ${judged.length} rounds without a rest: strokes have torn the air into fine bubbles. Leave it ${way.restMinutes} min and let them climb.`,
    }
  }
  if (
    judged.filter(round => round.restSince !== null && round.way === way.id).length >= ROUNDS &&
    last.every(round => round.feel === 'soft')
  ) {
    return { act: 'switch', say: 'Two rests, and no better: leave it overnight, or go on another way.' }
  }
  return null
}
