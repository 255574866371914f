import type { Fact, Guard } from '../../pack/operations'
import type { JobState } from '../chapters'

/** What nobody may do while a fact does not hold: as a tag, and as a sentence. */
export const guardWords: Record<Guard, { tag: string; sentence: string }> = {
  pedal: { tag: 'No pedal', sentence: 'No stroke of the pedal.' },
  start: { tag: 'No start', sentence: 'The engine is not started.' },
  park: { tag: 'No park', sentence: 'Park holds nothing.' },
}

/** What is forbidden now, each once, with the fact that says why. */
export function forbiddenNow({ procedure, facts }: JobState): { guard: Guard; fact: Fact }[] {
  const missing = (procedure?.facts ?? []).filter(fact => fact.guards && !facts.includes(fact.id))
  return missing
    .map(fact => ({ guard: fact.guards!, fact }))
    .filter(({ guard }, index, all) => all.findIndex(other => other.guard === guard) === index)
}
