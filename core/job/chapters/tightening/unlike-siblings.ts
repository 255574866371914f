import { readTightening, samplesOf } from '../../../fasteners'
import type { TighteningReading } from '../../../fasteners'
import type { TighteningRun } from '.'
import { passLimitNm, siblingCurves } from './runs'

/** With fewer siblings than these a bolt is not read anew. */
const FEW = 3

/**
 * Bolts of a pass that were called good before their siblings were known and are unlike them now.
 * @returns the bolts with what the reading says of them against the others
 */
export function unlikeSiblings(run: TighteningRun, passIndex: number): { bolt: number; reading: TighteningReading }[] {
  const limitNm = passLimitNm(run, passIndex)
  if (limitNm === null || !run.figure) return []
  const targetNm = run.figure.torqueNm
  return run.turns.flatMap(turn => {
    const siblings = siblingCurves(run, passIndex, turn.bolt)
    if (turn.passIndex !== passIndex || turn.reading?.verdict !== 'good' || siblings.length < FEW) return []
    const reading = readTightening(samplesOf(turn.reading), { targetNm, limitNm, siblings })
    return reading.verdict === null || reading.verdict === 'good' ? [] : [{ bolt: turn.bolt, reading }]
  })
}
