import type { BleedMethod } from './bleed-methods'

/** What bears on how a line is bled. */
export interface BleedSituation {
  /** Whether the line was opened; a slave moved aside unopened needs nothing. */
  opened: boolean
  /** A new set that came filled, with its strap. */
  preFilled: boolean
  slave: 'outside' | 'concentric'
  bleeder: 'at-top' | 'low' | 'none'
  helper: boolean
  tools: ('vacuum-pump' | 'pressure-bottle' | 'syringe')[]
  /** Minutes that the car may stand before it has to go. */
  minutesLeft: number
  sharedReservoir: boolean
}

export interface BleedAdvice { method: BleedMethod, possible: boolean, score: number, minutes: number, because: string[] }

/** Minutes of a run with its rest, as the table of ways has them; a reference check holds the two together. Common practice, no source. */
const MINUTES: Record<BleedMethod, number> = { 'pump-rest': 85, 'two-person': 15, 'vacuum': 14, 'pressure': 12, 'reverse': 15, 'gravity': 45, 'pre-filled': 4, 'unopened': 0 }

interface Rule { method: BleedMethod, holds: (at: BleedSituation) => boolean, /** Points it gives or takes; `closes` rules it out. */ points?: number, closes?: boolean, because: string }

const RULES: Rule[] = [
  { method: 'unopened', holds: at => at.opened, closes: true, because: 'The line was opened: air is in it.' },
  { method: 'unopened', holds: at => !at.opened, points: 100, because: 'The slave was moved aside unopened: no air got in, so none has to come out.' },
  { method: 'pre-filled', holds: at => !at.preFilled, closes: true, because: 'No pre-filled set goes in.' },
  { method: 'pre-filled', holds: at => at.preFilled, points: 90, because: 'The set came full. Its strap snaps at the first stroke; no stroke before it is home.' },
  ...(['pump-rest', 'two-person', 'vacuum', 'pressure', 'reverse', 'gravity'] as const).flatMap((method): Rule[] => [
    { method, holds: at => !at.opened, closes: true, because: 'Nothing was opened, so nothing has to be bled.' },
  ]),
  ...(['two-person', 'vacuum', 'pressure', 'reverse', 'gravity'] as const).map((method): Rule => ({ method, holds: at => at.bleeder === 'none', closes: true, because: 'There is no bleeder to let it out of.' })),
  { method: 'two-person', holds: at => !at.helper, closes: true, because: 'It takes a second person.' },
  { method: 'two-person', holds: at => at.helper, points: 30, because: 'Two people who keep the beat are quick and sure.' },
  { method: 'vacuum', holds: at => !at.tools.includes('vacuum-pump'), closes: true, because: 'It takes a vacuum pump.' },
  { method: 'vacuum', holds: at => at.tools.includes('vacuum-pump'), points: 24, because: 'One person, from below. Air past the bleeder’s thread looks like air from the line: grease it.' },
  { method: 'pressure', holds: at => !at.tools.includes('pressure-bottle'), closes: true, because: 'It takes a pressure bottle that fits the reservoir.' },
  { method: 'pressure', holds: at => at.tools.includes('pressure-bottle'), points: 28, because: 'One person, a steady stream, and the reservoir cannot run dry unseen.' },
  { method: 'pressure', holds: at => at.sharedReservoir, points: -6, because: 'The reservoir feeds the brakes: its pressure stands on them too.' },
  { method: 'reverse', holds: at => !at.tools.includes('syringe'), closes: true, because: 'It takes a syringe with a hose.' },
  { method: 'reverse', holds: at => at.tools.includes('syringe'), points: 26, because: 'Air goes up, the way it wants; from the slave.' },
  { method: 'reverse', holds: at => at.bleeder === 'low', points: 10, because: 'The bleeder sits low: from there fluid pushes all the air ahead of it.' },
  { method: 'reverse', holds: at => at.sharedReservoir, points: -12, because: 'The reservoir feeds the brakes: dirt from the clutch line is pushed into it. Draw it down first.' },
  { method: 'pump-rest', holds: at => at.opened, points: 18, because: 'Alone and without tools: strokes free the air, the rest lets it climb.' },
  { method: 'pump-rest', holds: at => at.bleeder === 'none', points: 20, because: 'Without a bleeder the air can only leave at the top.' },
  { method: 'pump-rest', holds: at => at.slave === 'concentric', points: 4, because: 'A slave round the shaft cannot be tilted; rests do what tilting does.' },
  { method: 'gravity', holds: at => at.opened, points: 12, because: 'Open and wait: nothing can go wrong but the reservoir running dry.' },
  { method: 'gravity', holds: at => at.bleeder === 'low', points: -3, because: 'It drips against air that climbs the other way.' },
]
const TOO_LONG = 14

/**
 * Which way to bleed, the best first, each with what speaks for and against it.
 * Points are trade practice, from memory; what is impossible stands last with the reason.
 */
export function adviseBleed(at: BleedSituation): BleedAdvice[] {
  return (Object.keys(MINUTES) as BleedMethod[]).map((method): BleedAdvice => {
    const rules = RULES.filter(rule => rule.method === method && rule.holds(at))
    const closed = rules.filter(rule => rule.closes)
    const minutes = MINUTES[method]
    const late = closed.length === 0 && minutes > at.minutesLeft
    return {
      method, minutes, possible: closed.length === 0,
      score: closed.length > 0 ? -Infinity : rules.reduce((sum, rule) => sum + (rule.points ?? 0), 0) - (late ? TOO_LONG : 0),
      because: [...(closed.length > 0 ? closed : rules).map(rule => rule.because), ...(late ? [`It takes about ${minutes} minutes, and ${Math.round(at.minutesLeft)} are left.`] : [])],
    }
  }).sort((a, b) => b.score === a.score ? a.minutes - b.minutes : b.score - a.score)
}
