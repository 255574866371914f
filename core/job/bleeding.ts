import type { Bleeding } from './state'

/** Where a bleeding stands: what to do next and, in a rest, until when. */
export interface BleedStage {
  round: number
  strokes: number
  stage: 'strokes' | 'rest' | 'judge' | 'firm'
  restEndsAt: string | null
  restSecondsLeft: number
}

/**
 * Where a bleeding stands at a moment. Rests are told from the log alone, so they survive
 * a reload, another device and a restart of the server.
 * @param now ISO 8601
 */
export function bleedStage(bleeding: Bleeding, now: string): BleedStage {
  const round = bleeding.rounds.at(-1)!
  const common = { round: bleeding.rounds.length, strokes: round.strokes }
  if (round.feel === 'firm') return { ...common, stage: 'firm', restEndsAt: null, restSecondsLeft: 0 }
  if (round.restSince === null) {
    return { ...common, stage: 'strokes', restEndsAt: null, restSecondsLeft: 0 }
  }
  const end = Date.parse(round.restSince) + bleeding.restMinutes * 60_000
  const left = Math.max(0, Math.ceil((end - Date.parse(now)) / 1000))
  return { ...common, stage: left > 0 ? 'rest' : 'judge', restEndsAt: new Date(end).toISOString(), restSecondsLeft: left }
}
