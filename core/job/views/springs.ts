import { matchSprings } from '../../bench/match-springs'
import type { SpringFacts, SpringMatch } from '../../bench/match-springs'
import { springVerdict } from '../../bench/spring-verdict'
import type { SpringVerdict } from '../../bench/spring-verdict'
import type { Body } from '../../pack/bodies'
import type { JobState } from '../chapters'
import type { LoosePiece, SpringMeasures, SpringOf } from '../chapters/bodies'
import { piecesOf } from '../chapters/bodies/pieces-of'
import { looseNow, pieceStand } from './bodies'

const factsOf = (id: string, { paint, ...facts }: SpringMeasures): SpringFacts => ({
  id,
  ...facts,
  ...(paint ? { colour: paint } : {}),
})

/** Springs of a body by its sheet. */
export function springsOf(body: Body): SpringFacts[] {
  return piecesOf(body)
    .filter(piece => piece.kind === 'spring')
    .map(piece => factsOf(piece.id, piece.spring ?? {}))
}

/** How each spring that was measured stands against its pocket: by its sheet, where that says nothing by the old one. */
export function springVerdicts(state: JobState, body: Body): Record<string, Partial<Record<SpringOf, SpringVerdict>>> {
  const pockets = springsOf(body)
  return Object.fromEntries(
    pockets.flatMap(own => {
      const { old, returned } = state.bodies[body.id]?.springs[own.id] ?? {}
      // A sheet that names nothing leaves the old one as the measure of what came back.
      const isKnown = Object.keys(own).length > 1
      const wanted = !isKnown && old ? factsOf(own.id, old) : own
      const known = pockets.map(pocket => (pocket.id === own.id ? wanted : pocket))
      const verdict = (measures: SpringMeasures) => springVerdict(wanted, factsOf(own.id, measures), known)
      return old || returned
        ? [[own.id, { ...(old ? { old: verdict(old) } : {}), ...(returned ? { returned: verdict(returned) } : {}) }]]
        : []
    }),
  )
}

/** Where each loose spring most likely belongs; pockets whose spring is in its place are not asked. */
export function looseMatches(state: JobState, body: Body): { loose: LoosePiece; match: SpringMatch | null }[] {
  const loose = looseNow(state, body.id)
  const open = springsOf(body).filter(spring => pieceStand(state, body.id, spring.id) === 'out')
  const pockets = open.length > 0 ? open : springsOf(body)
  const measured = loose.filter(entry => Object.keys(entry.measures).length > 0)
  const matches =
    pockets.length > 0 && measured.length > 0
      ? matchSprings(
          pockets,
          measured.map(entry => factsOf(entry.id, entry.measures)),
        )
      : []
  return loose.map(entry => ({ loose: entry, match: matches.find(match => match.found === entry.id) ?? null }))
}
