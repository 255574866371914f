import type { BoardBolt } from '../fasteners/bolt-board'
import type { FastenerFacts } from '../fasteners/fastener-facts'
import { jointOf } from '../fasteners/fastener-facts'
import type { Figure } from '../fasteners/figure'
import { stagesOf } from '../fasteners/figure'
import { boltMaterial } from '../fasteners/strength'
import { torqueAngle } from '../fasteners/torque-angle'

export interface BoltReuse {
  verdict: 'renew' | 'measure' | 'reuse' | 'unknown'
  because: string
  /** How many of the group are at fault one by one, where only some are. */
  count: number
}

const spent = new Set(['stretched', 'rounded', 'sheared', 'stripped'])

/**
 * Whether the bolts of a group go back: from the rule of their sheet, from what the angle does to them, from how they came out.
 * @param group what the log knows of it: the figure in force, what the fasteners are, the bolts of its board
 */
export function boltReuse({
  figure,
  facts,
  bolts,
}: {
  figure: Figure | null
  facts: FastenerFacts | null
  bolts: BoardBolt[]
}): BoltReuse {
  const bad = bolts.filter(bolt => bolt.condition !== null && spent.has(bolt.condition))
  const single = bolts.filter(bolt => bolt.singleUse)
  if (figure?.renew === 'always')
    return { verdict: 'renew', count: bolts.length, because: `Its sheet says new ones: ${figure.reference}.` }
  if (facts && boltMaterial(facts.propertyClass) === 'aluminium')
    return {
      verdict: 'renew',
      count: bolts.length,
      because:
        'They are of {aluminum}: once pulled they have given, and creep when warm. New ones every time, and never a steel one among them, which corrodes its thread and pulls otherwise.',
    }
  const turn = figure && stagesOf(figure).find(stage => stage.kind === 'angle')
  if (turn && figure && facts?.clampMm) {
    const stretched = torqueAngle({
      ...jointOf(facts, figure.condition),
      snugNm: figure.torqueNm,
      angleDeg: turn.angleDeg,
      clampMm: facts.clampMm,
    })
    if (stretched.reuse === 'renew') return { verdict: 'renew', count: bolts.length, because: stretched.because }
    if (stretched.pastYield) return { verdict: 'measure', count: bolts.length, because: stretched.because }
  } else if (turn)
    return {
      verdict: 'renew',
      count: bolts.length,
      because: 'They are set by torque and angle, so they were stretched; without their length nobody can say how far.',
    }
  if (single.length > 0)
    return {
      verdict: 'renew',
      count: single.length,
      because: `${single.length === bolts.length ? 'All are' : `${single.length} of ${bolts.length} are`} noted as single use.`,
    }
  if (bad.length > 0)
    return {
      verdict: 'renew',
      count: bad.length,
      because: `${bad.length} of ${bolts.length} came out ${[...new Set(bad.map(bolt => bolt.condition))].join(' or ')}.`,
    }
  const corroded = bolts.filter(bolt => bolt.condition === 'corroded').length
  if (corroded > 0)
    return {
      verdict: 'measure',
      count: corroded,
      because: `${corroded} of ${bolts.length} came out corroded: brush, look down the thread, renew what is pitted.`,
    }
  if (!figure) return { verdict: 'unknown', count: 0, because: 'No figure is named yet, so no rule is known.' }
  if (bolts.length > 0 && bolts.every(bolt => bolt.condition === 'good'))
    return { verdict: 'reuse', count: 0, because: 'Set by torque alone, and every one came out good.' }
  return {
    verdict: 'unknown',
    count: 0,
    because: 'Set by torque alone. How they came out is not noted for all of them.',
  }
}
