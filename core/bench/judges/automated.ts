import { travelCauses } from '../../clutch/travel-causes'
import type { TravelCause } from '../../clutch/travel-causes'
import { wearFromTravel } from '../../clutch/wear-from-travel'
import { figure, mm, thumb } from '../judgement'
import type { Given, Judge } from '../judgement'

const TRAVEL = {
  travel: 'number',
  taughtNew: 'number',
  fingers: 'number',
  fork: 'number',
  grows: 'choice',
  uncertainty: 'number',
  newDisc: 'number',
} as const
const NEEDED = ['travel', 'taughtNew', 'fingers', 'fork', 'grows', 'newDisc']

const growsIn = (given: Given): boolean => given.choice('grows') !== 'shrinks'
const wearOf = (given: Given) =>
  wearFromTravel({
    travelMm: given.number('travel'),
    taughtNewMm: given.number('taughtNew'),
    fingerRatio: given.number('fingers'),
    forkRatio: given.number('fork'),
    grows: growsIn(given),
    newDiscMm: given.number('newDisc'),
    ...(given.maybe('uncertainty') === undefined ? {} : { uncertaintyMm: given.number('uncertainty') }),
  })
const workingOf = (given: Given, lostMm: number, spreadMm: number): string[] => [
  `from ${mm(given.number('taughtNew'), 1)} taught with a new disc to ${mm(given.number('travel'), 1)} now; the travel ${growsIn(given) ? 'grows' : 'shrinks'} as it wears`,
  `÷ fingers ${given.number('fingers')}${thumb(given, 'fingers')} ÷ fork ${given.number('fork')}${thumb(given, 'fork')} = ${mm(lostMm)} lost, ${mm(spreadMm)} either way`,
]

/** What is left of the disc, told before the box is out. */
export const wearByTravel: Judge = {
  inputs: { ...TRAVEL, least: 'number' },
  needs: [...NEEDED, 'least'],
  judge(given) {
    const { liningLostMm, discMm, spreadMm, because } = wearOf(given)
    const left = discMm!
    const least = given.number('least')
    const says =
      left + spreadMm < least
        ? `It is below ${mm(least)}: the box comes out for it.`
        : left - spreadMm < least
          ? `That is at ${mm(least)}, the least it may be: whether the box comes out for it, no travel can tell.`
          : `That is above ${mm(least)}: it does not come out for its lining.`
    return {
      level: left + spreadMm < least ? 'renew' : left - spreadMm < least || liningLostMm < -spreadMm ? 'watch' : 'good',
      sentence: `${because} ${says}`,
      working: [
        ...workingOf(given, liningLostMm, spreadMm),
        `${mm(given.number('newDisc'))} − ${mm(liningLostMm)} = ${mm(left)}`,
      ],
      figures: [figure('disc left', left, 'mm'), figure('lining lost', liningLostMm, 'mm')],
    }
  },
}

const causeWords: Record<TravelCause, string> = {
  sound: 'all is as it was told',
  bearing: 'a release bearing that has collapsed, or a worn fork pivot',
  faces: 'a face of flywheel or plate that is worn or was cut',
  sensor: 'the sensor of the travel',
  air: 'air in the line',
}

/** The disc in the hand against what its travel said. */
export const wearConfirmed: Judge = {
  inputs: { ...TRAVEL, measured: 'number', stroke: 'number', strokeWanted: 'number' },
  needs: [...NEEDED, 'measured'],
  judge(given) {
    const { liningLostMm, discMm, spreadMm } = wearOf(given)
    const measured = given.number('measured')
    const [stroke, strokeWanted] = [given.maybe('stroke'), given.maybe('strokeWanted')]
    const ranked = travelCauses({
      predictedMm: discMm!,
      spreadMm,
      measuredMm: measured,
      ...(stroke === undefined ? {} : { strokeMm: stroke }),
      ...(strokeWanted === undefined ? {} : { strokeWantedMm: strokeWanted }),
    })
    const [first, second] = [ranked[0]!, ranked[1]!]
    const inHundred = (share: number) => `${Math.round(share * 100)} in 100`
    const told = `Its travel told ${mm(discMm!)}, the caliper ${mm(measured)}`
    return {
      level: first.cause === 'sound' ? 'good' : 'watch',
      sentence:
        first.cause === 'sound'
          ? `${told}: they agree.`
          : `${told}. Likeliest: ${causeWords[first.cause]}, ${inHundred(first.share)}; then ${causeWords[second.cause]}, ${inHundred(second.share)}.`,
      working: [
        ...workingOf(given, liningLostMm, spreadMm),
        ...ranked.map(({ cause, share }) => `${causeWords[cause]}: ${inHundred(share)}`),
        'Bayes over five causes, how far it is off and how long the stroke is taken as independent; from memory of the trade',
      ],
      figures: [figure('off by', discMm! - measured, 'mm'), figure('likeliest', first.share * 100, 'in 100', 0)],
    }
  },
}

/** What the controller should be taught with the disc that goes in. */
export const travelForecast: Judge = {
  inputs: {
    taughtNew: 'number',
    fingers: 'number',
    fork: 'number',
    grows: 'choice',
    newDisc: 'number',
    replacement: 'number',
    low: 'number',
    high: 'number',
  },
  needs: ['taughtNew', 'fingers', 'fork', 'grows', 'newDisc', 'replacement', 'low', 'high'],
  judge(given) {
    const ratio = given.number('fingers') * given.number('fork')
    const thinnerMm = given.number('newDisc') - given.number('replacement')
    const expected = given.number('taughtNew') + (growsIn(given) ? 1 : -1) * thinnerMm * ratio
    const [low, high] = [given.number('low'), given.number('high')]
    const inside = expected >= low && expected <= high
    return {
      level: inside ? 'good' : 'renew',
      sentence: inside
        ? `With the new disc about ${mm(expected, 1)} are taught, inside ${mm(low, 1)} to ${mm(high, 1)}.`
        : `With the new disc about ${mm(expected, 1)} would be taught, outside ${mm(low, 1)} to ${mm(high, 1)}: the controller refuses it. Measure the new disc again, and look at its number.`,
      working: [
        `${mm(given.number('newDisc'))} − ${mm(given.number('replacement'))} = ${mm(thinnerMm)} thinner than the old one was new`,
        `× ${ratio.toFixed(1)} at the slave; ${mm(given.number('taughtNew'), 1)} ${growsIn(given) ? '+' : '−'} ${mm(thinnerMm * ratio, 1)} = ${mm(expected, 1)}`,
      ],
      figures: [figure('to be taught', expected, 'mm', 1)],
    }
  },
}
