import type { BleedWay } from '../../pack/bleeding'
import type { Bleeding } from '../chapters/bleeding'

/** Where a bleeding stands: what to do next and, in a rest, until when. */
export interface BleedStage {
  round: number
  strokes: number
  /** Counted in this round, in what its way counts. */
  counted: number
  stage: 'strokes' | 'rest' | 'judge' | 'firm'
  restEndsAt: string | null
  restSecondsLeft: number
}

/**
 * Where a bleeding stands at a moment. Rests are told from the log alone, so they survive
 * a reload, another device and a restart of the server.
 * @param now ISO 8601
 * @param way the way gone now; without one, strokes are counted
 */
export function bleedStage(bleeding: Bleeding, now: string, way?: BleedWay): BleedStage {
  const round = bleeding.rounds.at(-1)!
  const common = {
    round: bleeding.rounds.length,
    strokes: round.strokes,
    counted: way?.counts === 'portions' ? round.portions : round.strokes,
  }
  if (round.feel === 'firm') return { ...common, stage: 'firm', restEndsAt: null, restSecondsLeft: 0 }
  if (round.restSince === null) return { ...common, stage: 'strokes', restEndsAt: null, restSecondsLeft: 0 }
  const end = Date.parse(restEnd(bleeding)!)
  const left = Math.max(0, Math.ceil((end - Date.parse(now)) / 1000))
  return {
    ...common,
    stage: left > 0 ? 'rest' : 'judge',
    restEndsAt: new Date(end).toISOString(),
    restSecondsLeft: left,
  }
}

/** When the rest that runs is over, ISO 8601; `null` where none runs. */
export function restEnd({ rounds, restMinutes }: Bleeding): string | null {
  const { restSince, feel } = rounds.at(-1)!
  return restSince === null || feel !== null
    ? null
    : new Date(Date.parse(restSince) + restMinutes * 60_000).toISOString()
}
