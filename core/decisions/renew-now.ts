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
  /** How likely the new part fails in the same time, 0 to 1; no new part fails where it is left out. */
  newFails?: number
  /** When it would fail, in years from now, and what a year takes off what is paid then, as a share; nothing where they are left out. */
  yearsLater?: number
  discountPerYear?: number
}

export interface RenewAnswer {
  /** From this chance on it is cheaper to renew it now; `Infinity` where coming back costs nothing, above 1 where it never pays. */
  breakEvenChance: number
  /** What renewing it now costs, and what leaving it costs on average. */
  expectedNow: number
  expectedLater: number
  advice: 'renew' | 'leave'
}

/** What of an amount counts today that is paid in so many years, where a year takes off a share. */
export const laterShare = (years: number, discountPerYear: number): number => (1 + discountPerYear) ** -years

/**
 * Renew a part while it is in reach, or leave it: the sure cost of now, and the chance that the new one fails as well, against the chance of
 * paying for everything later. What is paid later counts less, by so much a year. Both are costs on top of a job that is being done anyway.
 * @throws FieldError on a cost below zero, or a chance that is none
 */
export function renewNow({
  partCost,
  minutesNow,
  minutesLater,
  labourPerHour,
  chance,
  comebackCost = 0,
  newFails = 0,
  yearsLater = 0,
  discountPerYear = 0,
}: RenewQuestion): RenewAnswer {
  within('partCost', partCost, 0, 1e7, 'The price of the part')
  within('minutesNow', minutesNow, 0, 1e5, 'Minutes now')
  within('minutesLater', minutesLater, 0, 1e5, 'Minutes later')
  within('labourPerHour', labourPerHour, 0, 1e5, 'The labour rate')
  within('chance', chance, 0, 1, 'The chance')
  within('comebackCost', comebackCost, 0, 1e7, 'The cost of a comeback')
  within('newFails', newFails, 0, 1, 'The chance that the new part fails')
  within('yearsLater', yearsLater, 0, 50, 'The years until then')
  within('discountPerYear', discountPerYear, 0, 1, 'What a year takes off')
  const then = laterShare(yearsLater, discountPerYear)
  const comingBack = (partCost + (minutesLater / 60) * labourPerHour + comebackCost) * then
  const expectedNow = partCost + (minutesNow / 60) * labourPerHour + newFails * comingBack
  const expectedLater = chance * comingBack
  return {
    breakEvenChance: comingBack > 0 ? expectedNow / comingBack : Infinity,
    expectedNow,
    expectedLater,
    advice: expectedNow <= expectedLater ? 'renew' : 'leave',
  }
}
