import type { BleedPhysics, BleedRule, BleedSituation } from '../pack/bleeding'
import { freesAir } from './bleed-round'
import { shippedWays } from './shipped-ways'

export interface BleedAdvice {
  method: string
  title: string
  possible: boolean
  score: number
  minutes: number
  because: string[]
}

/** What is done where nothing was opened: no way at all. */
const UNOPENED: BleedPhysics = {
  id: 'unopened',
  title: 'Nothing to bleed',
  counts: 'strokes',
  minutes: [0, 0, 0],
  perRound: 0,
  restMinutes: 0,
  strokeShare: 0,
  portionMl: 0,
  bleeder: false,
  advice: [
    { when: { opened: true }, closes: true, because: 'The line was opened: air is in it.' },
    {
      when: { opened: false },
      points: 100,
      because: 'The slave was moved aside unopened: no air got in, so none has to come out.',
    },
  ],
}
/** Points that a way loses which takes longer than the car may stand. */
const TOO_LONG = 14

/**
 * Which way to bleed, the best first, each with what speaks for and against it; nothing at all is one of them.
 * Points are trade practice, from memory; what is impossible stands last with the reason.
 * @param ways those of a layout; without them those that ship
 */
export function adviseBleed(at: BleedSituation, ways: readonly BleedPhysics[] = shippedWays): BleedAdvice[] {
  return [UNOPENED, ...ways]
    .map((way): BleedAdvice => {
      const rules = [...closedByItself(way, at), ...way.advice.filter(rule => holds(rule, at))]
      const closed = rules.filter(rule => rule.closes)
      const minutes = minutesWithRest(way)
      const late = closed.length === 0 && minutes > at.minutesLeft
      return {
        method: way.id,
        title: way.title,
        minutes,
        possible: closed.length === 0,
        score:
          closed.length > 0
            ? -Infinity
            : rules.reduce((sum, rule) => sum + (rule.points ?? 0), 0) - (late ? TOO_LONG : 0),
        because: [
          ...(closed.length > 0 ? closed : rules).map(rule => rule.because),
          ...(late ? [`It takes about ${minutes} minutes, and ${Math.round(at.minutesLeft)} are left.`] : []),
        ],
      }
    })
    .sort((a, b) => (b.score === a.score ? a.minutes - b.minutes : b.score - a.score))
}

/** Hands on, and the rest where it is the rest that lets the air out. */
export function minutesWithRest(way: BleedPhysics): number {
  return (way.minutes?.[1] ?? 0) + (freesAir(way) && !way.bleeder ? way.restMinutes : 0)
}

const holds = ({ when }: BleedRule, at: BleedSituation) =>
  Object.entries(when).every(([key, value]) => at[key as keyof typeof when] === value)

/** What a way cannot do without, whatever its rules say. */
function closedByItself({ bleeder, wants }: BleedPhysics, at: BleedSituation): BleedRule[] {
  return [
    ...(bleeder && at.bleeder === 'none'
      ? [{ when: {}, closes: true, because: 'There is no bleeder to let it out of.' }]
      : []),
    ...(wants && !at.tools.includes(wants.id) ? [{ when: {}, closes: true, because: `It takes ${wants.name}.` }] : []),
  ]
}
