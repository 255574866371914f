import { faceSpread } from '../../alignment'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Judge } from '../judgement'

export const fingerHeights: Judge = {
  inputs: { heights: 'points', limit: 'number' },
  needs: ['heights', 'limit'],
  judge(given) {
    const heights = given.points('heights')
    const limit = given.number('limit')
    const { spreadMm, highest, lowest, meanMm } = faceSpread(heights)
    const over = beyond(spreadMm, limit)
    return {
      level: over ? 'renew' : spreadMm > limit * 0.7 ? 'watch' : 'good',
      sentence: over
        ? `The finger tips differ by ${mm(spreadMm)}, more than ${mm(limit)}${thumb(given, 'limit')}: it would judder or not let go all round.`
        : `The finger tips differ by ${mm(spreadMm)}; up to ${mm(limit)} is allowed${thumb(given, 'limit')}.`,
      working: [
        `highest ${mm(heights[highest]!)} at place ${highest + 1} − lowest ${mm(heights[lowest]!)} at place ${lowest + 1} = ${mm(spreadMm)}`,
        `mean ${mm(meanMm)}`,
      ],
      figures: [figure('spread', spreadMm, 'mm'), figure('mean', meanMm, 'mm')],
    }
  },
}
