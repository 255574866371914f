import { discVerdict, matchParts } from '../../clutch'
import type { MeasurePair } from '../../clutch'
import { measured, quantity } from '../../say/quantity'
import { figure, mm } from '../judgement'
import type { Given, Judge } from '../judgement'

const levelOf = { good: 'good', worn: 'watch', finished: 'renew' } as const
/** From here on the rivets mark the flywheel. Common practice, no source. */
const RIVET_MM = 0.3

export const discWear: Judge = {
  inputs: { thickness: 'points', new: 'number', minimum: 'number', rivets: 'points', distance: 'number' },
  needs: ['thickness', 'new', 'minimum'],
  judge(given) {
    const [newMm, minimumMm, readings] = [given.number('new'), given.number('minimum'), given.points('thickness')]
    const distanceKm = given.maybe('distance')
    const found = discVerdict({ newMm, minimumMm, readingsMm: readings, ...(distanceKm ? { distanceKm } : {}) })
    const rivets = given.points('rivets')
    const rivetMm = rivets.length > 0 ? Math.min(...rivets) : null
    const rivetsUp = rivetMm !== null && rivetMm < RIVET_MM
    const mean = readings.reduce((sum, reading) => sum + reading, 0) / readings.length
    const left =
      found.remainingKm === undefined
        ? ''
        : ` At the rate so far ${about(found.remainingKm)} are left, between ${about(found.remainingRangeKm![0])} and ${about(found.remainingRangeKm![1])}.`
    return {
      level: rivetsUp ? 'renew' : found.uneven && found.verdict === 'good' ? 'watch' : levelOf[found.verdict],
      sentence: `${rivetsUp ? `The rivets lie only ${mm(rivetMm)} below the face. ` : ''}${found.because}${left}`,
      working: [
        `worn: ${mm(newMm)} new − ${mm(mean)} on average = ${mm(newMm - mean)}`,
        `share: ${mm(newMm - mean)} of ${mm(newMm - minimumMm)} that may wear = ${Math.round(found.wornShare * 100)} in 100`,
        `thinnest place ${mm(found.thinnestMm)}, spread ${mm(found.spreadMm)}`,
        ...(found.remainingKm !== undefined
          ? [
              `left: ${mm(found.thinnestMm - minimumMm)} at {${(((newMm - mean) / distanceKm!) * 10_000).toFixed(2)} mm} in {10000 km}`,
            ]
          : []),
        ...(distanceKm && found.remainingKm === undefined
          ? ['what is worn is no more than the caliper may be off, so no distance is given']
          : []),
      ],
      figures: [
        figure('worn', found.wornShare * 100, 'in 100', 0),
        figure('thinnest', found.thinnestMm, 'mm'),
        figure('spread', found.spreadMm, 'mm'),
        ...(found.remainingKm !== undefined ? [figure('left', found.remainingKm, 'km', 0)] : []),
      ],
    }
  },
}

/** A distance that is no better known than to five hundred. */
const about = (distanceKm: number): string => quantity(Math.round(distanceKm / 500) * 500, 'km')

/** Measures that are compared: how near is the same, and what a difference means. */
const measures: { key: string; name: string; unit: string; within: number; because: string }[] = [
  { key: 'splines', name: 'Splines', unit: '', within: 0, because: 'It does not go on this shaft.' },
  {
    key: 'spline',
    name: 'Spline diameter',
    unit: 'mm',
    within: 0.3,
    because: 'It binds on the shaft or rattles on it.',
  },
  {
    key: 'diameter',
    name: 'Lining diameter',
    unit: 'mm',
    within: 2,
    because: 'The cover holds another lining, and the clutch carries another torque.',
  },
  {
    key: 'hub',
    name: 'Hub length',
    unit: 'mm',
    within: 1.5,
    because: 'A hub that stands out more meets the flywheel bolts.',
  },
  {
    key: 'thickness',
    name: 'Thickness',
    unit: 'mm',
    within: 1,
    because: 'The fingers then stand elsewhere, and so does the bearing.',
  },
  {
    key: 'cover',
    name: 'Cover bolt circle',
    unit: 'mm',
    within: 0.5,
    because: 'The cover does not sit on this flywheel.',
  },
  {
    key: 'bearing',
    name: 'Bearing height',
    unit: 'mm',
    within: 1,
    because: 'Another height changes the travel and may hold the clutch open.',
  },
]

export const partMatch: Judge = {
  inputs: Object.fromEntries(
    measures.flatMap(({ key }) => [
      [`${key}-old`, 'number'],
      [`${key}-new`, 'number'],
    ]),
  ) as Judge['inputs'],
  needs: [],
  judge(given) {
    const pairs = pairsOf(given)
    if (pairs.length === 0)
      return { level: 'watch', sentence: 'Nothing is measured of both parts yet.', working: [], figures: [] }
    const found = matchParts(pairs)
    const level = found.verdict === 'same' ? 'good' : found.verdict === 'differs' ? 'watch' : 'renew'
    const head = {
      same: 'The new part is the old one’s match. ',
      differs: 'One measure differs: ask the maker of the kit before it goes in. ',
      'wrong-kit': 'This is not the kit for this car. ',
    }[found.verdict]
    return {
      level,
      sentence: head + found.because,
      working: pairs.map(
        pair =>
          `${pair.name}: new ${measured(pair.new, pair.unit)} − old ${measured(pair.old, pair.unit)} = ${measured(pair.new - pair.old, pair.unit, pair.within === 0 ? 0 : 2)}, the same within ${pair.within}`,
      ),
      figures: found.differs.map(pair => figure(pair.name, pair.by, pair.unit)),
    }
  },
}

/** A new disc is thicker than a worn one: only a new one that is thinner, or thicker by more than any lining wears, is another disc. */
const WORN_OFF_MM = 4

function pairsOf(given: Given): MeasurePair[] {
  return measures.flatMap(({ key, ...measure }): MeasurePair[] => {
    const [before, after] = [given.maybe(`${key}-old`), given.maybe(`${key}-new`)]
    if (before === undefined || after === undefined) return []
    const withinMm = key === 'thickness' && after >= before ? WORN_OFF_MM : measure.within
    return [{ ...measure, old: before, new: after, within: withinMm }]
  })
}
