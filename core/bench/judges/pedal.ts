import { actuatorWindow, pumpedPedal, releaseChain, trappedAir } from '../../hydraulics'
import type { Linkage, PedalCause } from '../../hydraulics'
import { figure, mm } from '../judgement'
import type { Given, Judge, Judgement } from '../judgement'

const COMMON = {
  travel: 'number',
  ratio: 'number',
  free: 'number',
  fork: 'number',
  fingers: 'number',
  faces: 'number',
  lift: 'number',
  most: 'number',
  load: 'number',
  wear: 'number',
} as const
const NEEDED = ['travel', 'ratio', 'free', 'fork', 'fingers', 'faces', 'lift', 'most', 'load']
const FULL = 0.97

function chainFrom(given: Given, linkage: Linkage, lostMm: number): Judgement {
  const wear = given.maybe('wear')
  const moved = linkage.kind === 'hydraulic' ? given.maybe('moved') : undefined
  const found = releaseChain({
    linkage,
    pedalTravelMm: given.number('travel'),
    pedalRatio: given.number('ratio'),
    forkRatio: given.number('fork'),
    fingerRatio: given.number('fingers'),
    faces: given.number('faces'),
    freePlayMm: given.number('free'),
    lostMm,
    liftWantedMm: given.number('lift'),
    bearingMostMm: given.number('most'),
    releaseN: given.number('load'),
    ...(wear === undefined ? {} : { wearLeftMm: wear }),
  })
  return {
    level:
      found.verdict === 'right'
        ? found.margin < 1.15
          ? 'watch'
          : 'good'
        : found.verdict === 'heavy'
          ? 'watch'
          : 'renew',
    sentence: found.because,
    working: [
      `free play ${mm(given.number('free'), 0)}${lostMm > 0 ? `, lost ${mm(lostMm, 0)}` : ''}: the plate begins to move at ${mm(found.takeUpMm, 0)} of ${mm(given.number('travel'), 0)}`,
      ...(linkage.kind === 'hydraulic'
        ? [
            `(travel − dead) ÷ ${given.number('ratio')} × (${linkage.masterBoreMm} ÷ ${linkage.slaveBoreMm})² = ${mm(found.slaveMm!, 1)} at the slave`,
          ]
        : []),
      ...(moved === undefined ? [] : [slaveMeasured(moved, found.slaveMm!)]),
      `÷ fork ${given.number('fork')} = ${mm(found.bearingMm, 1)} at the bearing; ÷ fingers ${given.number('fingers')} ÷ ${given.number('faces')} faces = ${mm(found.liftPerFaceMm)} each`,
      found.releasedMm === null
        ? 'it never runs free'
        : `every face runs free from ${mm(found.releasedMm, 0)} on${found.releasedMm > given.number('travel') * FULL ? ', just off the floor' : ''}`,
      `foot: {${Math.round(found.pedalN)} N} without friction${found.pressureBar === null ? '' : `, {${found.pressureBar.toFixed(1)} bar} in the line`}`,
    ],
    figures: [
      figure('lift of each face', found.liftPerFaceMm, 'mm'),
      figure('way the bearing goes', found.bearingMm, 'mm', 1),
      figure('force of the foot', found.pedalN, 'N', 0),
      ...(found.pressureBar === null ? [] : [figure('pressure in the line', found.pressureBar, 'bar', 1)]),
    ],
  }
}

/** A slave that moves less than this share of what the chain computes has lost it. Common practice, no source. */
const MOVES = 0.9

function slaveMeasured(movedMm: number, computedMm: number): string {
  const said = `measured at the slave: ${mm(movedMm, 1)}, computed ${mm(computedMm, 1)}`
  return movedMm < MOVES * computedMm
    ? `${said}: ${mm(computedMm - movedMm, 1)} are lost to air, a hose that swells, or a cylinder that lets past`
    : `${said}: nothing is lost on the way`
}

export const releaseByFluid: Judge = {
  inputs: { ...COMMON, lost: 'number', master: 'number', slave: 'number', moved: 'number' },
  needs: [...NEEDED, 'lost', 'master', 'slave'],
  judge: given =>
    chainFrom(
      given,
      { kind: 'hydraulic', masterBoreMm: given.number('master'), slaveBoreMm: given.number('slave') },
      given.number('lost'),
    ),
}

export const releaseByCable: Judge = {
  inputs: { ...COMMON, lever: 'number', stretch: 'number' },
  needs: [...NEEDED, 'lever', 'stretch'],
  judge: given =>
    chainFrom(given, { kind: 'cable', ratio: given.number('lever'), stretchMm: given.number('stretch') }, 0),
}

export const taughtWindow: Judge = {
  inputs: { reported: 'number', low: 'number', high: 'number', grows: 'choice' },
  needs: ['reported', 'low', 'high'],
  judge(given) {
    const found = actuatorWindow({
      reportedMm: given.number('reported'),
      lowMm: given.number('low'),
      highMm: given.number('high'),
      growsWithWear: given.choice('grows') !== 'shrinks',
    })
    return {
      level: found.verdict === 'inside' ? (found.share > 0.85 ? 'watch' : 'good') : 'renew',
      sentence: found.because,
      working: [
        `(${given.number('reported')} − ${given.number('low')}) ÷ (${given.number('high')} − ${given.number('low')}) = ${(found.share * 100).toFixed(0)} in 100 of its window`,
        `taken as ${given.choice('grows') === 'shrinks' ? 'shrinking' : 'growing'} with wear; the maker’s own limits go before this`,
      ],
      figures: [figure('of its window', found.share * 100, 'in 100', 0)],
    }
  },
}

export const airInLine: Judge = {
  inputs: {
    lost: 'number',
    ratio: 'number',
    master: 'number',
    pressure: 'number',
    swelling: 'number',
    allowed: 'number',
    gone: 'number',
  },
  needs: ['lost', 'ratio', 'master', 'pressure', 'swelling', 'allowed'],
  judge(given) {
    const at = {
      pedalRatio: given.number('ratio'),
      masterBoreMm: given.number('master'),
      pressureBar: given.number('pressure'),
      swellingMlPerBar: given.number('swelling') / 10,
    }
    const found = trappedAir({ ...at, lostPedalMm: given.number('lost') })
    const good = trappedAir({ ...at, lostPedalMm: given.number('allowed') }).volumeMl
    const toGo = Math.max(0, found.volumeMl - good)
    const gone = given.maybe('gone')
    const rounds = gone !== undefined && gone > 0 ? Math.ceil(toGo / gone - 1e-9) : null
    const more =
      toGo === 0
        ? 'that is good enough for reverse'
        : `{${toGo.toFixed(1)} ml} have to go until reverse goes in${rounds === null ? '' : `, about ${rounds} more ${rounds === 1 ? 'round' : 'rounds'} like the last`}`
    return {
      level: toGo === 0 ? 'good' : 'watch',
      sentence:
        found.volumeMl < 0.05
          ? 'The hose takes all of the lost travel: there is hardly any air.'
          : `{${found.volumeMl.toFixed(1)} ml} to {${found.quickMl.toFixed(1)} ml} of air are left: ${more}.`,
      working: [
        `lost: ${mm(given.number('lost'), 0)} ÷ ${given.number('ratio')} × bore = {${found.displacedMl.toFixed(2)} ml}, of which the hose takes {${found.swollenMl.toFixed(2)} ml}`,
        `Boyle, p V constant: V (1 − 1.013 ÷ (1.013 + ${given.number('pressure')})) has given way; with no time to cool it is {${found.quickMl.toFixed(2)} ml}`,
        `${mm(given.number('allowed'), 0)} may be lost: {${good.toFixed(2)} ml}`,
      ],
      figures: [figure('air', found.volumeMl, 'ml', 1)],
    }
  },
}

const causeWords: Record<PedalCause, string> = {
  air: 'air in the line',
  'leaking-seal': 'a seal that leaks past',
  'worn-clutch': 'a worn clutch',
  sound: 'all is sound',
}

export const pumped: Judge = {
  inputs: { rises: 'number', strokes: 'number', falls: 'number', sinks: 'number', bite: 'number', wet: 'choice' },
  needs: ['rises', 'strokes'],
  judge(given) {
    const share = (input: string) => (given.maybe(input) === undefined ? undefined : given.number(input) / 100)
    const wet = given.choice('wet')
    const ranked = pumpedPedal({
      risesMm: given.number('rises'),
      strokes: given.number('strokes'),
      ...(share('falls') === undefined ? {} : { fallsBackShare: share('falls') }),
      ...(given.maybe('sinks') === undefined ? {} : { sinksMm: given.number('sinks') }),
      ...(share('bite') === undefined ? {} : { biteShare: share('bite') }),
      ...(wet === undefined ? {} : { wet: wet === 'wet' }),
    })
    const [first, second] = [ranked[0]!, ranked[1]!]
    const inHundred = (value: number) => `${Math.round(value * 100)} in 100`
    return {
      level:
        first.cause === 'sound'
          ? 'good'
          : first.cause === 'leaking-seal' && first.probability > 0.6
            ? 'renew'
            : 'watch',
      sentence: `Likeliest: ${causeWords[first.cause]}, ${inHundred(first.probability)}; then ${causeWords[second.cause]}, ${inHundred(second.probability)}.`,
      working: [
        ...ranked.map(
          entry =>
            `${causeWords[entry.cause]}: ${inHundred(entry.probability)}${entry.because.length ? `. ${entry.because.join(' ')}` : ''}`,
        ),
        'Bayes over four causes, each sign taken as independent; how often each is the one and how likely each sign, from memory of the trade',
      ],
      figures: [figure('likeliest', first.probability * 100, 'in 100', 0)],
    }
  },
}

/** Longer than this until reverse goes in is a clutch that drags, in s; the gears need so long to come to rest. Common practice, no source. */
const REVERSE_S = 4
/** Sinking more than this in a minute is a seal, in mm. Common practice, no source. */
const SINKS_MM = 4
/** It bites between these shares of the travel above the floor. Common practice, no source. */
const BITES = [0.2, 0.75] as const

export const pedalProof: Judge = {
  inputs: {
    free: 'number',
    freeFrom: 'number',
    freeTo: 'number',
    bite: 'number',
    travel: 'number',
    seconds: 'number',
    sinks: 'number',
  },
  needs: ['free', 'freeFrom', 'freeTo', 'bite', 'travel', 'seconds', 'sinks'],
  judge(given) {
    const [free, bite, travel, seconds, sinks] = ['free', 'bite', 'travel', 'seconds', 'sinks'].map(id =>
      given.number(id),
    ) as [number, number, number, number, number]
    const share = bite / travel
    const wrong = [
      ...(free < given.number('freeFrom')
        ? [`free play of ${mm(free, 0)} is too little: the bearing runs on the fingers all the time`]
        : []),
      ...(free > given.number('freeTo')
        ? [`free play of ${mm(free, 0)} is too much: that travel is missing at the plate`]
        : []),
      ...(share < BITES[0] ? [`it bites ${mm(bite, 0)} above the floor, too low to release with heat`] : []),
      ...(share > BITES[1] ? [`it bites near the top at ${mm(bite, 0)}: free play or the stop is wrong`] : []),
      ...(seconds > REVERSE_S ? [`reverse takes ${seconds} s to go in without a sound: it drags`] : []),
      ...(sinks > SINKS_MM ? [`it sinks ${mm(sinks, 0)} in a minute: a seal lets past`] : []),
    ]
    return {
      level: wrong.length === 0 ? 'good' : seconds > REVERSE_S || sinks > SINKS_MM ? 'renew' : 'watch',
      sentence:
        wrong.length === 0
          ? `It releases: reverse goes in after ${seconds} s, it bites ${mm(bite, 0)} above the floor and holds.`
          : `${wrong.join('; ').replace(/^./, first => first.toUpperCase())}.`,
      working: [
        `free play wanted {${given.number('freeFrom')} mm} to {${given.number('freeTo')} mm}; bite ${Math.round(share * 100)} in 100 of the travel, usual ${BITES[0] * 100} to ${BITES[1] * 100}`,
        `reverse at idle within ${REVERSE_S} s, sinking below {${SINKS_MM} mm} a minute: common practice, no source; the vehicle book goes before it`,
      ],
      figures: [figure('bite', share * 100, 'in 100', 0)],
    }
  },
}
