import { within } from '../base/field-error'

export interface RenewQuestion {
  /** Price of the part, in the garage's money. */
  partCost: number
  /** Minutes more while it is open anyway, and minutes to come back for it alone. */
  minutesNow: number
  minutesLater: number
  labourPerHour: number
  /** How likely it fails before the next time the box is out, 0 to 1. */
  chance: number
  /** What a failure costs beside the work: recovery, a spoilt disc, the customer's trust. */
  comebackCost?: number
}

export interface RenewAnswer {
  /** From this chance on it is cheaper to renew it now; `Infinity` where coming back costs nothing. */
  breakEvenChance: number
  /** What renewing it now costs, and what leaving it costs on average. */
  expectedNow: number
  expectedLater: number
  advice: 'renew' | 'leave'
}

/**
 * Renew a part while it is in reach, or leave it: the sure cost of now against the chance of paying for everything later.
 * Both are costs on top of a job that is being done anyway.
 * @throws FieldError on a cost below zero, or a chance that is none
 */
export function renewNow({
  partCost,
  minutesNow,
  minutesLater,
  labourPerHour,
  chance,
  comebackCost = 0,
}: RenewQuestion): RenewAnswer {
  within('partCost', partCost, 0, 1e7, 'The price of the part')
  within('minutesNow', minutesNow, 0, 1e5, 'Minutes now')
  within('minutesLater', minutesLater, 0, 1e5, 'Minutes later')
  within('labourPerHour', labourPerHour, 0, 1e5, 'The labour rate')
  within('chance', chance, 0, 1, 'The chance')
  within('comebackCost', comebackCost, 0, 1e7, 'The cost of a comeback')
  const expectedNow = partCost + (minutesNow / 60) * labourPerHour
  const comingBack = partCost + (minutesLater / 60) * labourPerHour + comebackCost
  const expectedLater = chance * comingBack
  return {
    breakEvenChance: comingBack > 0 ? expectedNow / comingBack : Infinity,
    expectedNow,
    expectedLater,
    advice: expectedNow <= expectedLater ? 'renew' : 'leave',
  }
}
