import { judgeSheet } from '../../bench/judge-sheet'
import { renewPackages } from '../../decisions/packages'
import type { RenewPackage } from '../../decisions/packages'
import { laterShare, renewNow } from '../../decisions/renew-now'
import type { RenewAnswer } from '../../decisions/renew-now'
import type { ReachablePart } from '../../pack/sheets'
import type { JobState } from '../chapters'
import type { RenewDecision } from '../chapters/renewals'
import { partPrice, withMargin } from './part-price'
import type { PriceOf } from './part-price'
import type { Rates } from './rates'
import type { Reach } from './reach'
import { isPlanned, renewedBy } from './renewing'

/** A part in reach with what is put into the question whether it is renewed now, and the answer. */
export interface RenewalLine {
  part: ReachablePart
  /** What it costs the garage; `null` where nobody priced it. */
  partCost: number | null
  minutesNow: number | null
  minutesLater: number | null
  chance: number
  comebackCost: number
  /** How likely the new one fails in the same time, and in how many years the old one would. */
  newFails: number
  yearsLater: number
  /** What of an amount that is paid then counts today, 0 to 1. */
  laterShare: number
  /** Steps that coming back would mean. */
  steps: string[]
  /** Sheets that found it bad. */
  foundBy: string[]
  /** The plan renews it. */
  planned: boolean
  /** The choice by which the plan renews it, where an option decides that. */
  way: string | null
  /** How it can be renewed, the usual way first. */
  ways: Reach['ways']
  /** Why none of them can be done any more; `null` where one can, or where nothing of the layout decides it. */
  barred: string | null
  /** By what it costs the customer, margin and all; `null` where price or minutes are not known. */
  answer: RenewAnswer | null
  decision: RenewDecision | null
}

/** A part that was found bad fails this likely before long, at least. Common practice, no source. */
const BAD_CHANCE = 0.9
/** Of a hundred new parts so many fail as early; a part that fails before the next clutch does so half way. Common practice, no source. */
const NEW_FAILS = 0.02
const YEARS_LATER = 3

type RenewalRates = Pick<Rates, 'labourPerHour' | 'partsMarginPercent' | 'laterPercent'>

/**
 * Every part in reach, priced and weighed: renew it while it is open, or leave it. What somebody put in goes before what is found.
 * What has to be renewed comes first, what is settled last.
 * @param reach as `reachOf` gives it; a part that it lacks has no minutes yet
 */
export function renewalLines(
  state: JobState,
  rates: RenewalRates,
  reach: Record<string, Reach>,
  quoted: PriceOf = () => null,
): RenewalLine[] {
  const { procedure } = state
  if (!procedure) return []
  const found = foundBad(state)
  const discountPerYear = (rates.laterPercent ?? 0) / 100
  return procedure.bench.reachable
    .map((part): RenewalLine => {
      const renewal = state.renewals[part.id]
      const weighed = renewal?.weighed
      const foundBy = found.get(part.part) ?? []
      const partCost = partPrice(state, part.part, quoted)
      const minutesNow = weighed?.minutesNow ?? reach[part.id]?.minutesNow ?? null
      const minutesLater = weighed?.minutesLater ?? reach[part.id]?.minutesLater ?? null
      const chance = weighed?.chance ?? (foundBy.length > 0 ? Math.max(part.chance, BAD_CHANCE) : part.chance)
      const comebackCost = weighed?.comebackCost ?? 0
      // What goes in new whatever it looks like is no question of failing.
      const newFails = weighed?.newFails ?? (part.goesInNew ? 0 : NEW_FAILS)
      // What was found bad does not wait for years.
      const yearsLater = weighed?.yearsLater ?? (foundBy.length > 0 ? 0 : YEARS_LATER)
      const asked = partCost === null ? null : withMargin(partCost, rates)
      return {
        part,
        partCost,
        minutesNow,
        minutesLater,
        chance,
        comebackCost,
        newFails,
        yearsLater,
        laterShare: laterShare(yearsLater, discountPerYear),
        foundBy,
        steps: reach[part.id]?.steps ?? [],
        decision: renewal?.decision ?? null,
        planned: isPlanned(procedure, part),
        way: renewedBy(procedure, part),
        ways: reach[part.id]?.ways ?? [],
        barred: barredFrom(reach[part.id]?.ways ?? []),
        answer:
          asked === null || minutesNow === null || minutesLater === null
            ? null
            : renewNow({
                partCost: asked,
                minutesNow,
                minutesLater,
                labourPerHour: rates.labourPerHour,
                chance,
                comebackCost,
                newFails,
                yearsLater,
                discountPerYear,
              }),
      }
    })
    .sort((a, b) => rank(a) - rank(b))
}

/** The three offers over what the plan does not renew anyway and can be priced, by what they cost the customer. */
export function renewalPackages(lines: RenewalLine[], rates: RenewalRates): RenewPackage[] {
  return renewPackages(
    lines
      .filter(line => !line.planned && line.answer && line.barred === null)
      .map(line => ({
        id: line.part.id,
        partCost: withMargin(line.partCost!, rates),
        minutesNow: line.minutesNow!,
        must: line.foundBy.length > 0 || line.decision === 'renew',
        advice: line.answer!.advice,
      })),
    rates.labourPerHour,
  )
}

const barredFrom = (ways: Reach['ways']) => (ways.every(way => way.barred !== null) ? (ways[0]?.barred ?? null) : null)

/** What has to be renewed first, then what pays, what can be weighed and what cannot; last what is too late and what is planned. */
function rank(line: RenewalLine): number {
  if (line.planned) return 5
  if (line.foundBy.length > 0) return 0
  if (line.barred !== null) return 4
  if (!line.answer) return 3
  return line.answer.advice === 'renew' ? 1 : 2
}

/** Part → titles of the sheets that found it bad. */
function foundBad(state: JobState): Map<string, string[]> {
  const found = new Map<string, string[]>()
  for (const sheet of state.procedure!.bench.sheets) {
    for (const part of judgeSheet(sheet, state.sheets[sheet.id]?.values ?? {}).renews)
      found.set(part, [...(found.get(part) ?? []), sheet.title])
  }
  return found
}
