import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { shelf } from '../../../tests/support/packs'
import { finishOdds, stepsToRun } from '../../sequence'
import { jobCosts } from './costs'
import { priceFactor } from './price-factor'

const { state } = TestLog.open(shelf.packs.get('tractor-two-stage')!)
const { procedure, plan } = state
const rates = { labourPerHour: 60, taxPercent: 0, partsMarginPercent: 0, callOut: 0 }

describe('the hours of an estimate', () => {
  it('rise with the share of cases in which they are enough', () => {
    const [half, most] = [priceFactor(procedure!, plan!, 0.5), priceFactor(procedure!, plan!, 0.9)]
    // Means lie above the likeliest, and troubles come on top.
    expect(half).toBeGreaterThan(1)
    expect(most).toBeGreaterThan(half * 1.15)
    expect(priceFactor(procedure!, plan!, 0.5)).toBe(half)
  })
  it('are enough in that share of cases, drawn anew', () => {
    const steps = stepsToRun(procedure!, plan!.setting, plan!.steps, new Map(), new Map()).map(step => ({
      ...step,
      waits: [],
    }))
    const hours = jobCosts(state, { ...rates, priceShare: 0.8 }, []).estimatedMinutes
    // Without the troubles they are enough a little more often.
    const share = finishOdds({ steps, calendar: null }, { seed: 77 }).oddsBy(hours)
    expect(share).toBeGreaterThan(0.78)
    expect(share).toBeLessThan(0.92)
  })
  it('are the likeliest of each step where nobody says otherwise, and make the price by their own rate', () => {
    const plain = jobCosts(state, rates, [])
    const safe = jobCosts(state, { ...rates, priceShare: 0.8 }, [])
    expect(jobCosts(state, { ...rates, priceShare: null }, []).labour).toBe(plain.labour)
    expect(safe.labour / plain.labour).toBeCloseTo(priceFactor(procedure!, plan!, 0.8), 9)
    expect(safe.labour).toBeCloseTo(safe.estimatedMinutes, 9)
  })
})
